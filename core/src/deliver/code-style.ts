import { z } from 'zod'

/** How code is written, for targets that a formatter of the web knows. What is absent is as Prettier has it. */
export const codeStyleSchema = z.strictObject({
  quotes: z.enum(['double', 'single']).optional().describe('In scripts; double when absent.'),
  semicolons: z.boolean().optional().describe('Whether statements end in one; so when absent.'),
  indent: z
    .union([z.int().min(1).max(8), z.literal('tab')])
    .optional()
    .describe('Spaces of one step, or tab; 2 when absent.'),
  width: z.int().min(40).max(200).optional().describe('Characters in a line; 80 when absent.'),
  trailingCommas: z.enum(['all', 'es5', 'none']).optional().describe('all when absent.'),
  attributes: z
    .enum(['filled', 'one-per-line'])
    .optional()
    .describe('Where the attributes of a tag stand that has several; filled when absent.'),
  brackets: z
    .enum(['own-line', 'same-line'])
    .optional()
    .describe('Where the > of a tag of several lines stands; own-line when absent.'),
  arrows: z
    .enum(['always', 'avoid'])
    .optional()
    .describe('Parentheses around the only parameter of an arrow function; always when absent.'),
})
export type CodeStyle = z.infer<typeof codeStyleSchema>

/** What Prettier calls it; nothing for what is as Prettier has it. */
export const prettierOptions = (style: CodeStyle): Record<string, unknown> => ({
  ...(style.quotes === 'single' ? { singleQuote: true } : {}),
  ...(style.semicolons === false ? { semi: false } : {}),
  ...(style.indent === 'tab' ? { useTabs: true } : {}),
  ...(typeof style.indent === 'number' && style.indent !== 2 ? { tabWidth: style.indent } : {}),
  ...(style.width === undefined || style.width === 80 ? {} : { printWidth: style.width }),
  ...(style.trailingCommas === undefined || style.trailingCommas === 'all'
    ? {}
    : { trailingComma: style.trailingCommas }),
  ...(style.attributes === 'one-per-line' ? { singleAttributePerLine: true } : {}),
  ...(style.brackets === 'same-line' ? { bracketSameLine: true } : {}),
  ...(style.arrows === 'avoid' ? { arrowParens: 'avoid' } : {}),
})
