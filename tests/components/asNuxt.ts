import vue from '@vitejs/plugin-vue'
import { readdirSync } from 'node:fs'
import { basename, join } from 'node:path'
import AutoImport from 'unplugin-auto-import/vite'
import Components from 'unplugin-vue-components/vite'

const app = new URL('../../app', import.meta.url).pathname
const files = readdirSync(join(app, 'components'), { recursive: true, encoding: 'utf8' })
/** Each component of the application by its name, where its file is. */
const byName = new Map(
  files
    .filter(file => file.endsWith('.vue'))
    .map(file => [basename(file).replace(/(\.client)?\.vue$/, ''), join(app, 'components', file)]),
)

/** What Nuxt does to the sources of the application: components and functions need not be imported. */
export const asNuxt = () => [
  vue(),
  AutoImport({
    imports: ['vue', 'vue-router'],
    dirs: ['composables', 'stores', 'utils'].map(folder => join(app, folder)),
    vueTemplate: true,
    dts: false,
  }),
  Components({
    dirs: [],
    dts: false,
    resolvers: [name => byName.get(name) ?? byName.get(name.replace(/^Lazy/, ''))],
  }),
]
