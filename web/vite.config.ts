import vue from '@vitejs/plugin-vue'
import { BootstrapVueNextResolver } from 'bootstrap-vue-next/resolvers'
import Components from 'unplugin-vue-components/vite'
import { defineConfig } from 'vitest/config'
import { readFileSync } from 'node:fs'
import { compile } from './src/words/compile'

const keys = Object.keys(
  JSON.parse(readFileSync(new URL('src/words/en.json', import.meta.url), 'utf8')) as object,
).sort()
let built = false
/** The build takes catalogues apart, and leaves of a key its place: names are for those who write. */
const words = {
  name: 'words',
  enforce: 'pre' as const,
  configResolved: (config: { command: string }) => {
    built = config.command === 'build'
  },
  transform: (code: string, id: string) => {
    if (/src\/words\/\w+\.json$/.test(id)) {
      const compiled = compile(JSON.parse(code) as Record<string, string>)
      return JSON.stringify(built ? keys.map((key) => compiled[key]) : compiled)
    }
    if (!built || !/\.(vue|ts)$/.test(id.split('?')[0]!)) return undefined
    return code.replace(/\btell\(\s*'(\w+\.\w+)'/g, (_, key: string) => `tell(${keys.indexOf(key)}`)
  },
}

export default defineConfig({
  plugins: [words, vue(), Components({ resolvers: [BootstrapVueNextResolver()], dirs: [], dts: 'components.d.ts' })],
  css: {
    preprocessorOptions: {
      scss: {
        quietDeps: true,
        silenceDeprecations: ['import', 'global-builtin', 'color-functions', 'if-function'],
      },
    },
  },
  // the words that are not said stand beside the catalogue; a test reads them
  server: { proxy: { '/api': 'http://127.0.0.1:8080' }, fs: { allow: ['.', '../casework/src/main/resources/words'] } },
  test: { environment: 'happy-dom', setupFiles: ['src/words/setup.ts'] },
})
