// Writes docs/file-format.schema.json from the Joi schemas of the ledger, so that the two cannot drift apart.
import { writeFileSync } from 'node:fs';
import { join } from 'node:path';
import { fileSchema } from '../core/formats';

writeFileSync(
  join(__dirname, '../docs/file-format.schema.json'),
  `${JSON.stringify(fileSchema(), null, 2)}\n`,
);
