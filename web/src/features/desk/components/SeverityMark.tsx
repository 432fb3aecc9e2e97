import type { Finding } from '@unimorph/core'

const MARKS = {
  problem: { sign: '▲', tone: 'text-problem', word: 'problem' },
  doubt: { sign: '◆', tone: 'text-doubt', word: 'doubt' },
  hint: { sign: '●', tone: 'text-soft', word: 'hint' },
} as const

/** How grave a finding is, by shape and colour, with the word for those who see neither. */
export const SeverityMark = ({ severity }: { readonly severity: Finding['severity'] }) => {
  const { sign, tone, word } = MARKS[severity]
  return (
    <span title={word} className={`inline-block w-4 shrink-0 text-center text-[9px] ${tone}`}>
      <span aria-hidden>{sign}</span>
      <span className="sr-only">{word}</span>
    </span>
  )
}
