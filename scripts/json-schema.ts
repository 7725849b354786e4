// Writes docs/logbook.schema.json from the one definition in src/core/logbook.ts. `npm run schema`.
import { writeFileSync } from 'node:fs';
import { z } from 'zod';
import { logbookSchema } from '../src/core/logbook';

const schema = z.toJSONSchema(logbookSchema, { target: 'draft-2020-12' });
writeFileSync('docs/logbook.schema.json', `${JSON.stringify(schema, null, 2)}\n`);
