import { useMemo, useState } from 'react'
import type { Finding } from '@unimorph/core'
import type { KindOfFinding } from '../../../engine/structure'
import { Button } from '../../../shared/ui/Button'
import { useDesk } from '../model/desk-store'
import { useStructure } from '../model/structure-store'
import { useFollowDrawing } from '../model/use-follow-drawing'
import { CompareDialog } from './CompareDialog'
import { EditionTrend } from './EditionTrend'
import { GradeCard } from './GradeCard'
import { ReviewDialog } from './ReviewDialog'
import { SeverityMark } from './SeverityMark'

/** So many of one kind are listed before the rest is asked for. */
const FIRST_SHOWN = 6

/** What is known of the finding that was chosen, and what can be done about it. */
const ChosenFinding = ({ finding, why }: { finding: Finding; why: string }) => {
  const mend = useStructure((s) => s.mend)
  const isMending = useStructure((s) => s.isMending)
  const [isComparing, setComparing] = useState(false)
  const [isReviewing, setReviewing] = useState(false)
  const { remedy } = finding
  const apply = (): void => void mend({ which: 'ids', ids: [finding.id] })
  return (
    <div className="px-3 pt-1 pb-2 pl-7 text-xs">
      <p className="text-soft">{why}</p>
      {remedy ? (
        <>
          <p className="mt-1 text-soft">
            {remedy.isSafe
              ? 'The design looks the same afterwards; that is checked.'
              : `May move things by up to ${remedy.change.px} px${remedy.change.deltaE > 0 ? ' and change colours too little to be seen' : ''}; more is refused.`}
          </p>
          <div className="mt-1.5 flex flex-wrap gap-1.5">
            <Button tone="main" className="h-6! text-xs" disabled={isMending} onClick={apply}>
              {remedy.label}
            </Button>
            <Button className="h-6! text-xs" onClick={() => setComparing(true)}>
              Before and after
            </Button>
          </div>
        </>
      ) : finding.choices ? (
        <Button className="mt-1.5 h-6! text-xs" onClick={() => setReviewing(true)}>
          Choose
        </Button>
      ) : (
        <p className="mt-1 text-soft">No automatic repair: change it in the design.</p>
      )}
      {isReviewing && <ReviewDialog doubts={[finding]} onClose={() => setReviewing(false)} />}
      {isComparing && remedy && (
        <CompareDialog
          title={remedy.label}
          edits={remedy.edits}
          onClose={() => setComparing(false)}
          onApply={() => {
            setComparing(false)
            apply()
          }}
        />
      )}
    </div>
  )
}

const FindingRow = ({ finding, why }: { finding: Finding; why: string }) => {
  const chosen = useStructure((s) => s.chosen)
  const choose = useStructure((s) => s.choose)
  const isChosen = chosen?.id === finding.id
  return (
    <li>
      <button
        type="button"
        aria-expanded={isChosen}
        onClick={() => choose(isChosen ? undefined : finding)}
        className={`flex w-full items-baseline gap-1 border-l-2 px-3 py-1 text-left text-xs ${
          isChosen ? 'border-settled bg-tint' : 'border-transparent hover:bg-sheet'
        }`}
      >
        <SeverityMark severity={finding.severity} />
        <span className="min-w-0 flex-1">{finding.message}</span>
      </button>
      {isChosen && <ChosenFinding finding={finding} why={why} />}
    </li>
  )
}

const KindGroup = ({ kind, findings }: { kind: KindOfFinding; findings: readonly Finding[] }) => {
  const mend = useStructure((s) => s.mend)
  const isMending = useStructure((s) => s.isMending)
  const chosen = useStructure((s) => s.chosen)
  const [isWhole, setWhole] = useState(false)
  const mendable = findings.filter((finding) => finding.remedy).length
  const hidesChosen = findings.slice(FIRST_SHOWN).some((finding) => finding.id === chosen?.id)
  const shown = isWhole || hidesChosen ? findings : findings.slice(0, FIRST_SHOWN)
  return (
    <section aria-label={kind.title} className="border-b border-rule py-1.5">
      <h3 className="flex min-h-6 items-center gap-2 px-3 text-xs font-semibold">
        <span className="min-w-0 flex-1">
          {kind.title} <span className="font-normal text-soft">{findings.length}</span>
        </span>
        {mendable > 0 && (
          <Button
            className="h-6! text-xs"
            disabled={isMending}
            onClick={() => void mend({ which: 'kind', kind: kind.id })}
          >
            Mend {mendable === 1 ? 'it' : `all ${mendable}`}
          </Button>
        )}
      </h3>
      <ul>
        {shown.map((finding) => (
          <FindingRow key={finding.id} finding={finding} why={kind.why} />
        ))}
      </ul>
      {shown.length < findings.length && (
        <Button tone="bare" className="ml-5 h-6! text-xs" onClick={() => setWhole(true)}>
          Show {findings.length - shown.length} more
        </Button>
      )}
    </section>
  )
}

/** Keeps what is known of the structure true to the design as drawn. */
export const useStructureReport = (): void => {
  useFollowDrawing(
    useStructure.getState(),
    useDesk((s) => s.drawn),
  )
}

/** What in the shown screen makes worse code, by kind, and the grade it has for that. */
export const StructureTab = () => {
  const report = useStructure((s) => s.report)
  const mend = useStructure((s) => s.mend)
  const isMending = useStructure((s) => s.isMending)
  const showsArranged = useStructure((s) => s.showsArranged)
  const setArranged = useStructure((s) => s.setArranged)
  const screen = useDesk((s) => s.screen)
  const own = useMemo(
    () => report?.findings.filter((finding) => finding.screen === screen) ?? [],
    [report, screen],
  )
  const doubts = useMemo(() => report?.findings.filter((f) => f.choices) ?? [], [report])
  const [isReviewing, setReviewing] = useState(false)
  if (!report) return <p className="p-3 text-xs text-soft">Looking through the design …</p>
  const grade = report.grades.find((g) => g.screen === screen)
  const start = report.start.find((g) => g.screen === screen)
  const mendable = report.findings.filter((finding) => finding.remedy)
  const safe = mendable.filter((finding) => finding.remedy?.isSafe)
  return (
    <div className="flex min-h-0 flex-1 flex-col">
      {grade && <GradeCard grade={grade} start={start} kinds={report.kinds} />}
      <EditionTrend />
      <div className="flex flex-wrap items-center gap-1.5 border-b border-rule p-3">
        <Button
          tone="main"
          className="h-6! text-xs"
          disabled={isMending || safe.length === 0}
          title="Remedies after which every screen looks the same"
          onClick={() => void mend({ which: 'safe' })}
        >
          {isMending ? 'Mending …' : 'Mend all safe'}
        </Button>
        <Button
          className="h-6! text-xs"
          disabled={isMending || mendable.length === 0}
          onClick={() => void mend({ which: 'all' })}
        >
          Mend all
        </Button>
        <Button
          className="h-6! text-xs"
          aria-pressed={showsArranged}
          title="Show rows, columns, gaps and padding on the stage"
          onClick={() => setArranged(!showsArranged)}
        >
          Show layout
        </Button>
        {doubts.length > 0 && (
          <Button className="h-6! text-xs" onClick={() => setReviewing(true)}>
            Review {doubts.length} in doubt
          </Button>
        )}
        {isReviewing && <ReviewDialog doubts={doubts} onClose={() => setReviewing(false)} />}
      </div>
      <div className="min-h-0 flex-1 overflow-auto">
        {own.length === 0 && (
          <p className="p-3 text-xs text-soft">
            Nothing was found on this screen. Choose another screen above the stage, or go on with
            the code.
          </p>
        )}
        {report.kinds.map((kind) => {
          const findings = own.filter((finding) => finding.kind === kind.id)
          return findings.length > 0 ? (
            <KindGroup key={kind.id} kind={kind} findings={findings} />
          ) : null
        })}
      </div>
    </div>
  )
}
