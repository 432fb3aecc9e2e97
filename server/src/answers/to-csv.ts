import type { Answer } from './answers.service'

/** A cell as RFC 4180 writes it. What a spreadsheet would run as a formula is kept from it by a quote in front. */
const cell = (value: string): string => {
  const safe = /^[=+\-@\t\r]/.test(value) ? `'${value}` : value
  return /[",\r\n]/.test(safe) ? `"${safe.replaceAll('"', '""')}"` : safe
}

/** Answers as a table: a column for every field any of them has, in the order in which they first come. */
export const toCsv = (answers: readonly Answer[]): string => {
  const fields = [...new Set(answers.flatMap(({ values }) => Object.keys(values)))]
  const rows = answers.map(({ at, values }) => [
    new Date(at).toISOString(),
    ...fields.map((field) => values[field] ?? ''),
  ])
  return [['at', ...fields], ...rows].map((row) => `${row.map(cell).join(',')}\r\n`).join('')
}
