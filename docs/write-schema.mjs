// Writes the JSON Schemas of the files people write, from their descriptions in core: npm run schema -w docs
import { writeFileSync } from 'node:fs'
import { buildGlossarySchema, buildJsonSchema, buildSettingsSchema } from '@unimorph/core'

const write = (name, schema) => {
  writeFileSync(new URL(name, import.meta.url), `${JSON.stringify(schema, null, 2)}\n`)
}

write('./design.schema.json', buildJsonSchema())
write('./settings.schema.json', buildSettingsSchema())
write('./glossary.schema.json', buildGlossarySchema())
