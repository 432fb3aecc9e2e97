import type { FormRow } from '../../../engine/protocol'
import { answersPath } from '../../../shared/lib/api'
import { Button } from '../../../shared/ui/Button'
import { Modal } from '../../../shared/ui/Modal'
import { useDesk } from '../model/desk-store'
import { useForms } from '../model/forms-store'

type Props = {
  readonly form: FormRow
  readonly isOpen: boolean
  readonly onClose: () => void
}

const time = (at: number): string => new Date(at).toISOString().slice(0, 16).replace('T', ' ')

/** What was filled into a form for trying out, as a table that can be taken away. */
export const AnswersDialog = ({ form, isOpen, onClose }: Props) => {
  const answers = useForms((s) => s.answers[form.id]) ?? []
  const clear = useForms((s) => s.clear)
  const id = useDesk((s) => s.project?.id) ?? ''
  const fields = [...new Set(answers.flatMap(({ values }) => Object.keys(values)))]
  return (
    <Modal title={`Answers of “${form.name}”`} isOpen={isOpen} onClose={onClose} size="wide">
      {answers.length === 0 ? (
        <p className="py-4 text-soft">
          No answers yet. Send the form to “this server, to try it out”, press Use above the running
          result, then fill in the form and submit it.
        </p>
      ) : (
        <div
          className="mt-3 max-h-[55vh] overflow-auto"
          tabIndex={0}
          role="region"
          aria-label="Table of answers"
        >
          <table className="w-full text-left text-xs">
            <thead>
              <tr className="border-b border-ink">
                {['at', ...fields].map((field) => (
                  <th key={field} scope="col" className="px-2 py-1 font-semibold">
                    {field}
                  </th>
                ))}
              </tr>
            </thead>
            <tbody>
              {answers.map((answer) => (
                <tr key={answer.id} className="border-b border-rule">
                  <td className="px-2 py-1 whitespace-nowrap text-soft tabular-nums">
                    {time(answer.at)}
                  </td>
                  {fields.map((field) => (
                    <td key={field} className="max-w-64 truncate px-2 py-1">
                      {answer.values[field]}
                    </td>
                  ))}
                </tr>
              ))}
            </tbody>
          </table>
        </div>
      )}
      <div className="mt-4 flex justify-end gap-2">
        {answers.length > 0 && (
          <>
            <Button onClick={() => void clear(form.id)}>Delete all</Button>
            <a
              href={`/api${answersPath(id, form.id)}/csv`}
              download={`${form.id}.csv`}
              className="inline-flex h-7 items-center rounded-sm border border-rule bg-sheet px-2.5 hover:border-ink"
            >
              Download CSV
            </a>
          </>
        )}
        <Button tone="main" onClick={onClose}>
          Close
        </Button>
      </div>
    </Modal>
  )
}
