import tailwindcss from "@tailwindcss/vite";
import react from "@vitejs/plugin-react";
import { defineConfig } from "vite";

export default defineConfig({
  plugins: [react(), tailwindcss()],
  html: { cspNonce: "__CSP_NONCE__" },
  build: { outDir: "../.build/app", emptyOutDir: true, assetsInlineLimit: 0, target: "es2023" },
  server: { fs: { allow: [".."] }, proxy: { "/api": "http://127.0.0.1:5080" } },
});
