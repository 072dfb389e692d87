import react from '@vitejs/plugin-react';
import { defineConfig } from 'vite';

export default defineConfig({
  plugins: [react()],
  build: {
    outDir: 'dist',
    emptyOutDir: true,
    // The largest is the view in space, which is loaded when it is asked for.
    chunkSizeWarningLimit: 1400,
    // The licences of everything that is in the bundle, made by each build.
    license: { fileName: 'licences.md' },
  },
  // The host's name stays as the browser sent it: the server takes changes from its own pages alone.
  server: { fs: { allow: ['..'] }, proxy: { '/api': { target: 'http://127.0.0.1:8321', changeOrigin: false } } },
});
