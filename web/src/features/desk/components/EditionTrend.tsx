import { useEffect, useState } from 'react'
import { api, messageOf, type EditionGrade } from '../../../shared/lib/api'
import { showProblem } from '../../../shared/lib/toast-store'
import { useDesk } from '../model/desk-store'

/** How the editions of the project were graded as they came in; nothing while there is only one. */
export const EditionTrend = () => {
  const id = useDesk((s) => s.project?.id)
  const edition = useDesk((s) => s.project?.edition ?? 1)
  const [grades, setGrades] = useState<readonly EditionGrade[]>([])
  useEffect(() => {
    if (!id || edition < 2) return setGrades([])
    api
      .gradeEditions(id)
      .then(setGrades)
      .catch((error: unknown) => showProblem(messageOf(error)))
  }, [id, edition])
  if (grades.length < 2) return null
  return (
    <section
      aria-label="Editions as they came in"
      className="border-b border-rule px-3 py-2 text-xs"
    >
      <h3 className="text-soft">Editions as they came in</h3>
      <ol className="mt-1 flex flex-wrap gap-x-3 gap-y-0.5">
        {grades.map(({ edition: number, points }, i) => {
          const before = grades[i - 1]?.points
          const sign = before === undefined || points === before ? '' : points > before ? '↑' : '↓'
          const word = sign === '↑' ? 'better' : sign === '↓' ? 'worse' : ''
          return (
            <li key={number} className="tabular-nums">
              <span className="text-soft">{number}:</span> {points}{' '}
              {sign && (
                <span className={sign === '↑' ? 'text-settled' : 'text-problem'} title={word}>
                  <span aria-hidden>{sign}</span>
                  <span className="sr-only">{word}</span>
                </span>
              )}
            </li>
          )
        })}
      </ol>
    </section>
  )
}
