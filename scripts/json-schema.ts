// npm run schema: writes docs/logbook.schema.json from src/core/model/logbook.ts.
import { writeFileSync } from 'node:fs';
import * as z from 'zod/mini';
import { logbookSchema } from '../src/core/model/logbook';

const schema = z.toJSONSchema(logbookSchema, { target: 'draft-2020-12' });
writeFileSync('docs/logbook.schema.json', `${JSON.stringify(schema, null, 2)}\n`);
