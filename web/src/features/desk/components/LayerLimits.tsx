import type { LayerDetails } from '../../../engine/inspect-layer'
import { NumberField } from '../../../shared/ui/NumberField'
import { useDesk } from '../model/desk-store'

type Limit = keyof LayerDetails['limits']

const LIMITS: readonly { readonly limit: Limit; readonly label: string }[] = [
  { limit: 'minWidth', label: 'Min width' },
  { limit: 'maxWidth', label: 'Max width' },
  { limit: 'minHeight', label: 'Min height' },
  { limit: 'maxHeight', label: 'Max height' },
]

type Props = {
  readonly details: LayerDetails
  /** Its key in the code. */
  readonly codeKey: string
  /** The widest its content gets, in px, as a person has said. */
  readonly contentMax: number | undefined
}

/** The sizes between which the selected layer stays, at every width of the window. */
export const LayerLimits = ({ details, codeKey, contentMax }: Props) => {
  const edit = useDesk((s) => s.edit)
  const isEditable = useDesk((s) => s.drawn?.layers.find((l) => l.key === details.key)?.editable)
  return (
    <fieldset className="mt-2 grid grid-cols-2 gap-x-3 gap-y-1 border-t border-rule pt-2">
      <legend className="float-left col-span-2 mb-1 text-soft">At every width</legend>
      {isEditable &&
        LIMITS.map(({ limit, label }) => (
          <NumberField
            key={limit}
            label={label}
            value={details.limits[limit]}
            onChange={(px) =>
              void edit({
                kind: 'set-limits',
                layer: details.key,
                limits: { [limit]: px ?? null },
              })
            }
          />
        ))}
      {details.type !== 'text' && (
        <NumberField
          label="Hold at"
          least={1}
          value={contentMax}
          onChange={(px) =>
            void edit({
              kind: 'hold-content',
              layer: codeKey,
              ...(px === undefined ? {} : { px }),
            })
          }
        />
      )}
    </fieldset>
  )
}
