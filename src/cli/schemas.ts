import { writeFileSync } from 'node:fs';
import { join } from 'node:path';
import { demandsPage } from '$contracts/demands-page';
import { publishedSchemas } from '$contracts/json-schema';

// npm run schemas: writes what the contracts say to docs/formats, and what exercises demand to docs.
for (const [file, schema] of Object.entries(publishedSchemas()))
	writeFileSync(join(process.cwd(), 'docs', 'formats', file), `${JSON.stringify(schema, null, '\t')}\n`);
writeFileSync(join(process.cwd(), 'docs', 'exercise-demands.md'), demandsPage());
