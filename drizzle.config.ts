import { defineConfig } from 'drizzle-kit';

export default defineConfig({
  dialect: 'postgresql',
  schema: [
    './src/server/db/schema.ts',
    './src/server/db/library-schema.ts',
    './src/server/db/shelf-schema.ts',
    './src/server/db/pattern-schema.ts',
    './src/server/db/session-schema.ts',
    './src/server/db/courses-schema.ts',
    './src/server/db/practice-schema.ts',
  ],
  out: './src/server/db/migrations',
});
