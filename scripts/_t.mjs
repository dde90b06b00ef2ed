import { chromium } from '@playwright/test'
const b = await chromium.launch({
  executablePath: '/usr/bin/chromium',
  ignoreDefaultArgs: ['--hide-scrollbars'],
  args: [
    '--no-sandbox',
    '--disable-gpu',
    '--disable-background-networking',
    '--use-angle=swiftshader',
    '--enable-unsafe-swiftshader',
  ],
})
const p = await b.newPage({ viewport: { width: 1280, height: 800 } })
p.on('console', m => m.type() === 'error' && console.log('ERR', m.text().slice(0, 300)))
p.on('pageerror', e => console.log('PAGE', e.message.slice(0, 300)))
await p.goto('http://127.0.0.1:4700/drawer')
await p.waitForTimeout(1500)
await p.screenshot({ path: '/tmp/w/c0.png' })
await p.goto('http://127.0.0.1:4700/drawer/draw')
await p.getByLabel('Motif from').waitFor()
await p.waitForTimeout(800)
await p
  .getByLabel('Motif from')
  .selectOption({ label: 'Star Set' })
  .catch(async () => {
    const o = await p.getByLabel('Motif from').locator('option').allTextContents()
    console.log(o.join('|'))
  })
await p.waitForTimeout(500)
await p.locator('aside [data-opening="2"]').click()
await p.getByRole('button', { name: 'Repeat' }).click()
await p.waitForTimeout(2500)
await p.screenshot({ path: '/tmp/w/c1.png' })
// photo: blurred
await p.goto('http://127.0.0.1:4700/drawer/photo')
await p.getByLabel('Picture of a stencil').setInputFiles('/tmp/w/ph/card.png')
await p.getByTestId('corner-stage').waitFor({ timeout: 60000 })
await p.waitForTimeout(500)
const h = await p.locator('[data-handle="points-1"]').boundingBox()
await p.mouse.move(h.x + h.width / 2, h.y + h.height / 2)
await p.mouse.down()
await p.mouse.move(h.x + 20, h.y + 20)
await p.screenshot({ path: '/tmp/w/c2.png' })
await p.mouse.up()
await p.getByRole('radio', { name: 'Two points' }).click()
await p.getByRole('radio', { name: 'Calibration card' }).click()
await p.getByRole('button', { name: 'Read it' }).click()
await p.getByTestId('read').waitFor({ timeout: 60000 })
await p.screenshot({ path: '/tmp/w/c3.png' })
await p.getByRole('button', { name: 'Go on' }).click()
await p.getByTestId('draft-stage').waitFor()
await p.waitForTimeout(1500)
await p.locator('[data-testid="draft-stage"] [data-opening="3"]').click()
await p.getByRole('button', { name: 'Nearer' }).click()
await p.waitForTimeout(300)
await p.screenshot({ path: '/tmp/w/c4.png' })
await p.goto('http://127.0.0.1:4700/drawer/photo')
await p.getByLabel('Picture of a stencil').setInputFiles('/tmp/w/ph/blur.png')
await p.getByTestId('corner-stage').waitFor({ timeout: 60000 })
await p.getByLabel('Upper side, mm').fill('126')
await p.getByLabel('Left side, mm').fill('92')
await p.keyboard.press('Tab')
await p.getByRole('button', { name: 'Read it' }).click()
await p.getByRole('alert').waitFor({ timeout: 60000 })
console.log(await p.getByRole('alert').textContent())
await p.screenshot({ path: '/tmp/w/c5.png' })
await b.close()
