import { z } from 'zod'

const name = z.string().regex(/^[a-z][a-z0-9-]*$/, 'not the name of an element')

/** Attributes that a rule may give to elements: none of them runs anything, or says what the design says. */
export const ADDED = [
  'autocapitalize',
  'decoding',
  'enterkeyhint',
  'fetchpriority',
  'inputmode',
  'loading',
  'referrerpolicy',
  'spellcheck',
  'translate',
] as const

const ruleSchema = z.discriminatedUnion('rule', [
  z
    .strictObject({
      rule: z.literal('attribute-order'),
      of: name.optional().describe('Only on these elements; on all when absent.'),
      order: z
        .array(
          z
            .string()
            .regex(
              /^(\*|[a-z][a-z0-9:-]*\*?)$/,
              'not an attribute; * stands for the end of a name',
            ),
        )
        .min(1)
        .describe(
          'Names of attributes as HTML has them: "aria-*" stands for all that begin so, "*" for all others.',
        ),
    })
    .describe(
      'In which order attributes are written. The first rule that is for an element holds.',
    ),
  z
    .strictObject({
      rule: z.literal('add-attribute'),
      of: name.describe('The elements that get it.'),
      name: z
        .union([
          z.enum(ADDED),
          z.string().regex(/^data-[a-z][a-z0-9-]*$/, 'not an attribute that may be added'),
        ])
        .describe('The attribute; one that is there already stays as it is.'),
      value: z.string().max(200),
    })
    .describe('What elements of a kind always have, as loading="lazy" on every img.'),
  z
    .strictObject({ rule: z.literal('no-arbitrary-values') })
    .describe(
      'Tailwind classes have no values in brackets: lengths, colours and shadows that are no step become names of the theme.',
    ),
])

/** What a house wants of every element, in the order in which it is asked for. */
export const houseRulesSchema = z.array(ruleSchema).max(50)
export type HouseRules = z.infer<typeof houseRulesSchema>

/** Whether classes may not have values in brackets. */
export const namesValues = (rules: HouseRules | undefined): boolean =>
  rules?.some(({ rule }) => rule === 'no-arbitrary-values') === true
