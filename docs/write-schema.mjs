// Writes docs/design.schema.json from the description of the format in core: npm run schema -w docs
import { writeFileSync } from 'node:fs'
import { buildJsonSchema } from '@unimorph/core'

const file = new URL('./design.schema.json', import.meta.url)
writeFileSync(file, `${JSON.stringify(buildJsonSchema(), null, 2)}\n`)
