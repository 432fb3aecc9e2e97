import { useState } from 'react'
import type { Match } from '@unimorph/core'
import type { WidthAnswer } from '../../../engine/widths'
import { Button } from '../../../shared/ui/Button'
import { useDesk } from '../model/desk-store'
import { Section } from './Section'

const FIRST_SHOWN = 12

const MatchRow = ({
  match,
  screens,
  report,
}: {
  readonly match: Match
  readonly screens: string[]
  readonly report: WidthAnswer
}) => {
  const edit = useDesk((s) => s.edit)
  const select = useDesk((s) => s.select)
  const selection = useDesk((s) => s.selection)
  const base = useDesk((s) => s.drawn?.layers.find((l) => l.key === selection.at(-1)))
  const isChosen = selection.includes(match.other) || selection.includes(match.base)
  const canTake = base && base.screen === screens[0] && base.key !== match.base
  return (
    <li className={`border-l-2 ${isChosen ? 'border-settled bg-tint' : 'border-transparent'}`}>
      <div className="flex items-baseline gap-2 px-3 py-0.5 text-xs">
        <button
          type="button"
          className="min-w-0 flex-1 truncate text-left hover:underline"
          onClick={() => select([match.other])}
          title={match.isRuling ? 'Set by you' : match.evidence}
        >
          {report.names[match.other] ?? match.other}
        </button>
        <span aria-label="is the same as" className="text-soft">
          =
        </span>
        <button
          type="button"
          className="min-w-0 flex-1 truncate text-left hover:underline"
          onClick={() => select([match.base])}
        >
          {report.names[match.base] ?? match.base}
        </button>
        <span
          className={`w-12 text-right tabular-nums ${match.isRuling ? 'text-settled' : match.confidence < 0.6 ? 'text-doubt' : 'text-soft'}`}
        >
          {match.isRuling ? 'yours' : `${Math.round(match.confidence * 100)} %`}
        </span>
      </div>
      {isChosen && (
        <div className="flex flex-wrap gap-1.5 px-3 pb-1">
          <Button
            className="h-6! text-xs"
            onClick={() => void edit({ kind: 'match', layer: match.other, to: null, screens })}
          >
            Separate
          </Button>
          {canTake && (
            <Button
              className="h-6! text-xs"
              onClick={() =>
                void edit({ kind: 'match', layer: match.other, to: base.key, screens })
              }
            >
              Same as {base.name || base.type}
            </Button>
          )}
          {match.isRuling && (
            <Button
              className="h-6! text-xs"
              onClick={() => void edit({ kind: 'match', layer: match.other, screens })}
            >
              Reset
            </Button>
          )}
        </div>
      )}
    </li>
  )
}

const ArtboardMatches = ({ other, report }: { other: string; report: WidthAnswer }) => {
  const [isWhole, setWhole] = useState(false)
  const matches = report.matches[other] ?? []
  const shown = isWhole ? matches : matches.slice(0, FIRST_SHOWN)
  const widthOf = (key: string): number | undefined =>
    report.artboards.find((artboard) => artboard.key === key)?.widthPx
  const screens = report.artboards.map((artboard) => artboard.key)
  return (
    <Section
      title={`The same at ${widthOf(other)} and ${report.artboards[0]?.widthPx} px`}
      count={matches.length}
      hint="Layers that are one layer at both widths, the least certain first"
    >
      <ul>
        {shown.map((match) => (
          <MatchRow key={match.other} match={match} screens={screens} report={report} />
        ))}
      </ul>
      {shown.length < matches.length && (
        <Button tone="bare" className="ml-2 h-6! text-xs" onClick={() => setWhole(true)}>
          Show {matches.length - shown.length} more
        </Button>
      )}
    </Section>
  )
}

/** Which layers of the narrower artboards are those of the widest. */
export const MatchList = ({ report }: { readonly report: WidthAnswer }) =>
  report.artboards
    .slice(1)
    .map(({ key }) => <ArtboardMatches key={key} other={key} report={report} />)
