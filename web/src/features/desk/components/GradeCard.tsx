import type { Grade } from '@unimorph/core'
import type { KindOfFinding } from '../../../engine/structure'

const AREAS = {
  structure: 'Structure',
  tidiness: 'Tidiness',
  consistency: 'Consistency',
  names: 'Names',
  legibility: 'Legibility',
} as const

const toneOf = (share: number): string =>
  share >= 0.9 ? 'bg-settled' : share >= 0.6 ? 'bg-doubt' : 'bg-problem'

const points = (value: number): string => `${Math.round(value * 10) / 10}`

/** How good a screen is to make code from, what that is made of, and what would raise it most. */
export const GradeCard = ({
  grade,
  start,
  kinds,
}: {
  grade: Grade
  start: Grade | undefined
  kinds: readonly KindOfFinding[]
}) => {
  const best = kinds.find((kind) => kind.id === grade.best?.kind)
  const gained = start ? Math.round((grade.points - start.points) * 10) / 10 : 0
  return (
    <section aria-label="Grade" className="border-b border-rule p-3 text-xs">
      <div className="flex items-baseline gap-3">
        <span className="font-serif text-3xl leading-none">{grade.letter}</span>
        <span className="text-sm">{points(grade.points)} of 100</span>
        {start && gained !== 0 && (
          <span className="text-soft">
            {start.letter} {points(start.points)} at the start
          </span>
        )}
      </div>
      <dl className="mt-2 space-y-1">
        {grade.parts.map(({ area, points: own, weight }) => (
          <div key={area} className="flex items-center gap-2">
            <dt className="w-20 shrink-0 text-soft">{AREAS[area]}</dt>
            <dd className="flex flex-1 items-center gap-2">
              <span aria-hidden className="h-1.5 flex-1 bg-tint">
                <span
                  className={`block h-full ${toneOf(own / weight)}`}
                  style={{ width: `${(own / weight) * 100}%` }}
                />
              </span>
              <span className="w-14 text-right tabular-nums">
                {points(own)} / {weight}
              </span>
            </dd>
          </div>
        ))}
      </dl>
      {best && grade.best && (
        <p className="mt-2 text-soft">
          Raised most by: {best.title.toLowerCase()} (+{points(grade.best.points)}).
        </p>
      )}
    </section>
  )
}
