// joins pictures side by side
import { chromium } from '@playwright/test'
import { readFileSync } from 'node:fs'
const [out, h, ...files] = process.argv.slice(2)
const b = await chromium.launch({ executablePath: '/usr/bin/chromium', args: ['--no-sandbox','--disable-gpu'] })
const p = await b.newPage({ viewport: { width: 1500, height: Number(h) } })
await p.setContent(`<body style="margin:0;display:flex;gap:8px;background:#888">${files.map(f => `<img style="height:${h}px" src="data:image/png;base64,${readFileSync(f).toString('base64')}">`).join('')}</body>`)
await p.waitForTimeout(300)
const box = await p.evaluate(() => document.body.scrollWidth)
await p.setViewportSize({ width: box, height: Number(h) })
await p.screenshot({ path: out })
await b.close()
