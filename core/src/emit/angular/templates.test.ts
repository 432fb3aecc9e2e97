import { readFileSync } from 'node:fs'
import { join } from 'node:path'
import { format } from 'prettier'
import { convert } from '../../convert.js'
import type { Design } from '../../design/design.js'
import { readFiles } from '../../intake/index.js'
import { design, frame, text } from '../../testing/design.js'
import type { EmitStyle } from '../target.js'

const DEMO = join(__dirname, '../../../../demo/designs/tidewrack.json')
const demo = readFiles([{ name: 'tidewrack.json', bytes: readFileSync(DEMO) }]).design!

const emit = (made: Design, style: EmitStyle) => {
  const result = convert(made, [], { target: 'angular', ...style })
  if (!result.ok) throw new Error('not converted')
  const { files, pages, components } = result.value
  const texts = new Map(
    files.flatMap(({ path, content }) =>
      content.kind === 'text' ? [[path, content.text] as const] : [],
    ),
  )
  return { files, texts, pages, components }
}

test('templates stand in the classes, as Prettier has them, and layers are found there', async () => {
  const { files, texts, pages, components } = emit(demo, { templates: 'class' })
  const templates = [...texts.keys()].filter((path) => /^src\/app\/.*\.html$/.test(path))
  expect(templates).toEqual([])
  const shown = [...Object.values(pages), ...components].map(({ path }) => path)
  for (const path of shown) {
    const code = texts.get(path)!
    expect(path).toMatch(/\.ts$/)
    expect(code).toContain('  template: `')
    expect(await format(code, { parser: 'typescript' })).toBe(code)
  }
  const messages = texts.get('src/app/behaviour/form-messages.ts')!
  expect(await format(messages, { parser: 'typescript' })).toBe(messages)
  const { spans } = files.find(({ path }) => path === Object.values(pages)[0]!.path)!
  expect(spans.length).toBeGreaterThan(5)
})

test('they are in files of their own where nothing else is said, with the same words in them', () => {
  const [beside, inside] = [emit(demo, {}), emit(demo, { templates: 'class' })]
  for (const { path } of Object.values(beside.pages)) {
    expect(path).toMatch(/\.html$/)
    const own = beside.texts.get(path)!.replace(/\s+/g, '')
    const code = inside.texts.get(path.replace('.html', '.ts'))!.replace(/\s+/g, '')
    expect(code).toContain(own)
  }
})

test.each(['a `tick`', 'back \\ slash'])(
  'what a string would end or change stays in its file: %s',
  (words) => {
    const made = design([frame('page', [text('line', words)], { name: 'Page' })])
    const { texts, pages } = emit(made, { templates: 'class' })
    const [page] = Object.values(pages)
    expect(page!.path).toMatch(/\.html$/)
    expect(texts.get(page!.path)).toContain(words)
    expect(texts.get(page!.path.replace('.html', '.ts'))).toContain('templateUrl: ')
  },
)
