import tailwindcss from '@tailwindcss/vite'
import react from '@vitejs/plugin-react'
import { defineConfig } from 'vite'

// The server changes things for pages of its own origin only.
const OWN = 'http://127.0.0.1:4780'
const ownServer = { target: OWN, changeOrigin: true, headers: { origin: OWN } }

export default defineConfig({
  plugins: [react(), tailwindcss()],
  worker: { format: 'es' },
  build: { chunkSizeWarningLimit: 1500 },
  server: { proxy: { '/api': ownServer, '/preview': ownServer } },
})
