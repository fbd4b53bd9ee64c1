import { defineConfig } from 'drizzle-kit'

export default defineConfig({ dialect: 'sqlite', schema: ['./server/chapters/*/schema.ts', './server/kernel/trunk.ts'], out: './server/db/migrations' })
