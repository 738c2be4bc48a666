import vue from '@vitejs/plugin-vue'
import { BootstrapVueNextResolver } from 'bootstrap-vue-next/resolvers'
import Components from 'unplugin-vue-components/vite'
import { defineConfig } from 'vitest/config'

export default defineConfig({
  plugins: [vue(), Components({ resolvers: [BootstrapVueNextResolver()], dirs: [], dts: 'components.d.ts' })],
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
  test: { environment: 'happy-dom' },
})
