import { findLanguage } from './language.js'

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
