import { z } from 'zod'
import { TARGET_IDS } from '../emit/index.js'
import { codeStyleSchema } from '../deliver/code-style.js'
import { fileLayoutSchema } from '../deliver/file-layout.js'
import { houseRulesSchema } from '../emit/rules/house-rules.js'
import { EXTRAS, PICTURE_FORMS, SCRIPTS, TEMPLATE_PLACES } from '../emit/target.js'
import { UNITS } from '../emit/styling/units.js'
import { STYLINGS } from '../emit/styling/styling.js'
import { LANGUAGE_TAG } from '../meaning/language.js'
import { notes } from '../notes/catalogue.js'
import type { Outcome } from '../notes/note.js'
import { readBySchema } from '../notes/read-by-schema.js'
import { LIBRARIES } from '../parts/library-screen.js'
import { GRAINS } from '../parts/sections.js'

/** Name of the file that a project's settings are kept in. */
export const SETTINGS_FILE = 'unimorph.config.json'

const settingsFileSchema = z.strictObject({
  $schema: z.string().optional().describe('Where the schema is, for editors.'),
  target: z.enum(TARGET_IDS).optional().describe('What is written; html when absent.'),
  styling: z.enum(STYLINGS).optional().describe('How pages are styled; tailwind when absent.'),
  script: z
    .enum(SCRIPTS)
    .optional()
    .describe('Whether React is written with types; typescript when absent.'),
  units: z
    .enum(UNITS)
    .optional()
    .describe('What lengths are in; steps of the scale in rem and others in px when absent.'),
  prefix: z
    .string()
    .regex(/^[A-Z][A-Za-z0-9]{0,11}$/, 'not the beginning of a name; write one such as Tide')
    .optional()
    .describe('What the names of components begin with.'),
  pictures: z
    .enum(PICTURE_FORMS)
    .optional()
    .describe(
      'How pictures are shown. React and Vue: import (when absent) or public, by their address; Angular: framework, by NgOptimizedImage.',
    ),
  templates: z
    .enum(TEMPLATE_PLACES)
    .optional()
    .describe(
      'Where templates of Angular stand: in files of their own when absent, or in the class.',
    ),
  rules: houseRulesSchema.optional().describe('What is wanted of every element, in this order.'),
  extras: z
    .array(z.enum(EXTRAS))
    .optional()
    .describe(
      'comments: what of the design a component is; examples: a page of how components are used; sizes: pictures in several sizes, as WebP, of which browsers load the one that fits; tests: a test beside each component (React, Vue, Angular).',
    ),
  code: codeStyleSchema.optional().describe('How code is written.'),
  files: fileLayoutSchema.optional().describe('What files are called and where they lie.'),
  select: z
    .array(z.string().min(1))
    .optional()
    .describe('Names or keys of the layers to convert; all screens when absent.'),
  derivesStates: z
    .boolean()
    .optional()
    .describe('Whether what is pressed answers the pointer also where no state of it is drawn.'),
  language: z
    .string()
    .regex(LANGUAGE_TAG, 'not a language tag; write one such as de or pt-BR')
    .optional()
    .describe('Language of the texts, as a BCP 47 tag; told by their words when absent.'),
  grain: z
    .enum(GRAINS)
    .optional()
    .describe('How finely long pages are cut into files; sections when absent.'),
  library: z
    .enum(LIBRARIES)
    .optional()
    .describe(
      'A page that shows every variant of every component: beside the screens, or only it.',
    ),
  fonts: z
    .string()
    .min(1)
    .optional()
    .describe('Folder of fonts to measure with and to deliver, seen from this file.'),
  edits: z
    .string()
    .min(1)
    .optional()
    .describe('File of edits that are made first, seen from this file.'),
})

/** What a settings file says; what it leaves out is as `convert` does it. Paths are seen from the file. */
export type SettingsFile = z.infer<typeof settingsFileSchema>

/** Takes a parsed JSON value, returns checked settings, or notes that name the field of each error. */
export const readSettings = (document: unknown, file = SETTINGS_FILE): Outcome<SettingsFile> =>
  readBySchema(settingsFileSchema, document, (field, why) =>
    notes.invalidSettings(file, field, why),
  )

/** What is wrong with one setting, in a sentence; undefined where nothing is. */
export const findSettingProblem = (field: keyof SettingsFile, value: unknown): string | undefined =>
  settingsFileSchema.shape[field].safeParse(value).error?.issues[0]?.message

/** The text of a settings file: fields in the order of the schema, those that say nothing left out. */
export const writeSettings = (settings: SettingsFile): string =>
  `${JSON.stringify(settingsFileSchema.parse(settings), null, 2)}\n`

/** The JSON Schema (draft 2020-12) of a settings file. */
export const buildSettingsSchema = (): unknown =>
  z.toJSONSchema(settingsFileSchema, { target: 'draft-2020-12' })
