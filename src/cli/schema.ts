import { writeFileSync } from 'node:fs';
import { inspectionJsonSchema } from '#core/interchange/json-schema';

writeFileSync(
  'docs/inspection-file.schema.json',
  `${JSON.stringify(inspectionJsonSchema(), null, 2)}\n`,
);
