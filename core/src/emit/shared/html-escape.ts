/** Text between tags. A run of spaces would shrink to one, so all but the last become no-break spaces. */
export const escapeText = (text: string): string =>
  cleanControls(text)
    .replace(/&/g, '&amp;')
    .replace(/</g, '&lt;')
    .replace(/>/g, '&gt;')
    .replace(/\u00a0/g, '&nbsp;')
    .replace(/ +/g, (spaces) => '&nbsp;'.repeat(spaces.length - 1) + ' ')

/** An attribute value with its quotes: the kind that needs fewer escapes, double if equal. */
export const quoteAttribute = (text: string): string => {
  const value = cleanControls(text)
    // Before anything but a letter or # it begins nothing.
    .replace(/&(?=[#\w])/g, '&amp;')
    .replace(/</g, '&lt;')
    .replace(/\s+/g, ' ')
  const singles = value.split("'").length
  const doubles = value.split('"').length
  return singles < doubles
    ? `'${value.replaceAll("'", '&apos;')}'`
    : `"${value.replaceAll('"', '&quot;')}"`
}

/** Code in an attribute, whose quotes are double. */
export const escapeCode = (code: string): string =>
  code
    .replace(/&(?=[#\w])/g, '&amp;')
    .replace(/</g, '&lt;')
    .replaceAll('"', '&quot;')

/** Characters HTML does not allow are dropped; line ends and tabs are spaces. */
export const cleanControls = (text: string): string =>
  text
    .replace(/[\t\n\r\u2028\u2029]/g, ' ')
    .replace(/[\u0000-\u001f\u007f-\u009f\ufdd0-\ufdef\ufffe\uffff]/g, '')
