import { cleanControls } from '../shared/html-escape.js'

/** Text between JSX tags: braces would start code, and only the last of several spaces can break. */
export const escapeText = (text: string): string =>
  cleanControls(text)
    .replace(/&/g, '&amp;')
    .replace(/</g, '&lt;')
    .replace(/>/g, '&gt;')
    .replace(/\{/g, '&#123;')
    .replace(/\}/g, '&#125;')
    .replace(/\u00a0/g, '&nbsp;')
    .replace(/ +/g, (spaces) => '&nbsp;'.repeat(spaces.length - 1) + ' ')

/** A JSX attribute value with its quotes: the kind that needs fewer escapes, double if equal. */
export const quoteAttribute = (text: string): string => {
  const value = cleanControls(text)
    .replace(/&(?=[#\w])/g, '&amp;')
    .replace(/</g, '&lt;')
  const singles = value.split("'").length
  const doubles = value.split('"').length
  return doubles > singles
    ? `'${value.replaceAll("'", '&apos;')}'`
    : `"${value.replaceAll('"', '&quot;')}"`
}

/** A string in TypeScript source, in the quotes that need fewer escapes, double if equal. */
export const quoteString = (text: string): string => {
  const inDouble = JSON.stringify(text)
    .replace(/\u2028/g, '\\u2028')
    .replace(/\u2029/g, '\\u2029')
  const singles = text.split("'").length
  const doubles = text.split('"').length
  if (doubles <= singles) return inDouble
  return `'${inDouble.slice(1, -1).replaceAll('\\"', '"').replaceAll("'", "\\'")}'`
}
