import { convert } from '../convert.js'
import { design, frame, text } from '../testing/design.js'
import { findLanguage, LANGUAGE_TAG } from './language.js'

test.each([
  ['en', ['Today on the shore', 'What you saw, where, and how sure you are']],
  ['de', ['Heute an der Küste', 'Was Sie gesehen haben, und wie sicher Sie sind']],
  ['fr', ['Ce que la mer a laissé', 'Avec vous, pour les oiseaux et la plage']],
  ['es', ['Lo que el mar dejó en la playa', 'Con usted, para todos los caminos del norte']],
])('%s is told by its commonest words', (language, texts) => {
  expect(findLanguage(texts)).toBe(language)
})

test('where nothing tells it is English', () => {
  expect(findLanguage(['Tidewrack', '12', '潮汐'])).toBe('en')
})

test('what a person says comes before the words, and decides what pages say by themselves', () => {
  const screen = (key: string) =>
    frame(key, [text(`${key}-text`, 'What the sea left for all of us')])
  const made = design([screen('Home'), screen('About')])
  const files = (language?: string) => {
    const result = convert(made, [], { target: 'html', language })
    if (!result.ok) throw new Error('not converted')
    return new Map(
      result.value.files.map(({ path, content }) => [
        path,
        content.kind === 'text' ? content.text : '',
      ]),
    )
  }
  expect(files().get('index.html')).toContain('<html lang="en">')
  expect(files('de-AT').get('index.html')).toContain('<html lang="de-AT">')
  expect(files('de-AT').get('404.html')).toContain('Seite nicht gefunden')
})

test.each([
  ['de', true],
  ['pt-BR', true],
  ['zh-Hant-TW', true],
  ['german', false],
  ['de"><script>', false],
  ['', false],
])('%s is a language tag: %s', (tag, isOne) => expect(LANGUAGE_TAG.test(tag)).toBe(isOne))
