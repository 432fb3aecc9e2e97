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
