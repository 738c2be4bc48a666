import vue from '@vitejs/plugin-vue'
import { BootstrapVueNextResolver } from 'bootstrap-vue-next/resolvers'
import Components from 'unplugin-vue-components/vite'
import { defineConfig } from 'vitest/config'
import { compile } from './src/words/compile'

/** Catalogues are taken apart by the build. */
const words = {
  name: 'words',
  enforce: 'pre' as const,
  transform: (code: string, id: string) =>
    /src\/words\/\w+\.json$/.test(id) ? JSON.stringify(compile(JSON.parse(code))) : undefined,
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
