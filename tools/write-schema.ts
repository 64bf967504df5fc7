import { writeFileSync } from 'node:fs'
import { FILE_SCHEMAS, jsonSchemaOf, type FileKind } from '../core/job/json-schema'

/** Writes docs/job.schema.json and docs/shop.schema.json; a test holds them to the schema in force. */
for (const kind of Object.keys(FILE_SCHEMAS) as FileKind[]) {
  writeFileSync(
    new URL(`../docs/${kind}.schema.json`, import.meta.url),
    `${JSON.stringify(jsonSchemaOf(kind), null, 2)}\n`,
  )
}
