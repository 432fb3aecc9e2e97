import { format } from 'prettier'
import { printDocument } from '../shared/print-document.js'
import { printImportLine } from './print-import.js'

test.each([
  ['shore', '../assets/shore.png'],
  ['{ Link }', 'react-router'],
  ['type { ReactNode }', 'react'],
  ['{ ref, useTemplateRef }', 'vue'],
  ['AppSighting, { type AppSightingProps }', '../components/AppSighting.vue'],
  ['AppCard, { type AppCardProps }', '../components/AppCard.vue'],
  ['{ computed, onMounted, ref, useCssModule, useTemplateRef, watchEffect, nextTick }', 'vue'],
  ['{ aVeryLongNameOfAHelperThatDoesNotFitOnOneLineWithAllOfItsPath }', '../behaviour/aVeryLong'],
])('an import of %s is as Prettier has it', async (names, from) => {
  const { text } = printDocument(printImportLine(names, from), 80)
  expect(`${text}\n`).toBe(await format(text, { parser: 'typescript', printWidth: 80 }))
})
