import type { Entrance, Hover } from '@unimorph/core'
import { Button } from '../../../shared/ui/Button'
import { Choice } from '../../../shared/ui/Choice'
import { NumberField } from '../../../shared/ui/NumberField'
import { useDesk } from '../model/desk-store'

type Effect = Hover['effects'][number]

/** Effects under the pointer, with what each begins as. */
const EFFECTS: readonly { readonly label: string; readonly effect: Effect }[] = [
  { label: 'Grow', effect: { kind: 'scale', to: 1.05 } },
  { label: 'Lift', effect: { kind: 'lift', px: 4 } },
  { label: 'Shadow', effect: { kind: 'shadow' } },
  { label: 'Fade', effect: { kind: 'fade', to: 0.8 } },
  { label: 'Underline', effect: { kind: 'underline' } },
  { label: 'Tint', effect: { kind: 'tint', color: '#e7efe9' } },
]
const USUAL: Entrance = {
  at: 'view',
  opacity: 0,
  x: 0,
  y: 16,
  scale: 1,
  rotationDeg: 0,
  delayMs: 0,
  durationMs: 600,
  easing: 'ease-out',
}
const EASINGS = (['linear', 'ease', 'ease-in', 'ease-out', 'ease-in-out'] as const).map(
  (value) => ({ value, label: value }),
)

type Props = {
  readonly layer: string
  readonly hover: Hover | undefined
  readonly entrance: Entrance | undefined
}

/** What the chosen layer does under the pointer, and how it comes in. */
export const MotionCard = ({ layer, hover, entrance }: Props) => {
  const edit = useDesk((s) => s.edit)
  const effects = hover?.effects ?? []
  const sayHover = (next: readonly Effect[]): void => {
    const durationMs = hover?.durationMs ?? 200
    void edit({
      kind: 'set-interaction',
      layers: [layer],
      hover: next.length > 0 ? { effects: [...next], durationMs } : null,
    })
  }
  const sayEntrance = (changes: Partial<Entrance> | null): void =>
    void edit({
      kind: 'set-interaction',
      layers: [layer],
      entrance: changes && { ...(entrance ?? USUAL), ...changes },
    })
  const number = (
    label: string,
    value: number,
    change: (value: number) => Partial<Entrance>,
    least?: number,
  ) => (
    <NumberField
      label={label}
      value={value}
      {...(least === undefined ? {} : { least })}
      onChange={(next) => next !== undefined && sayEntrance(change(next))}
    />
  )
  return (
    <>
      <fieldset className="mb-2 flex flex-wrap gap-1 border-t border-rule pt-2">
        <legend className="float-left mb-1 w-full text-soft">Under the pointer</legend>
        {EFFECTS.map(({ label, effect }) => {
          const isOn = effects.some(({ kind }) => kind === effect.kind)
          return (
            <Button
              key={label}
              aria-pressed={isOn}
              className="h-6! px-1.5! text-xs"
              onClick={() =>
                sayHover(
                  isOn ? effects.filter(({ kind }) => kind !== effect.kind) : [...effects, effect],
                )
              }
            >
              {label}
            </Button>
          )
        })}
      </fieldset>
      <fieldset className="mb-2 border-t border-rule pt-2">
        <legend className="float-left mb-1 w-full text-soft">How it comes in</legend>
        <div className="clear-both flex flex-wrap gap-1.5">
          <Choice
            isLabelHidden
            label="It comes in"
            value={entrance?.at ?? 'none'}
            options={[
              { value: 'none', label: 'it is just there' },
              { value: 'load', label: 'when the page is shown' },
              { value: 'view', label: 'when it is scrolled to' },
            ]}
            onChange={(at) => sayEntrance(at === 'none' ? null : { at })}
          />
          {entrance && (
            <Choice
              isLabelHidden
              label="Easing"
              value={entrance.easing}
              options={EASINGS}
              onChange={(easing) => sayEntrance({ easing })}
            />
          )}
        </div>
        {entrance && (
          <div className="mt-1.5 grid grid-cols-2 gap-x-3 gap-y-1">
            {number('Opacity %', Math.round(entrance.opacity * 100), (value) => ({
              opacity: Math.min(1, value / 100),
            }))}
            {number('Size %', Math.round(entrance.scale * 100), (value) => ({
              scale: value / 100,
            }))}
            {number('From below', entrance.y, (y) => ({ y }), -1000)}
            {number('From right', entrance.x, (x) => ({ x }), -1000)}
            {number('Turned', entrance.rotationDeg, (rotationDeg) => ({ rotationDeg }), -360)}
            {number('Delay ms', entrance.delayMs, (delayMs) => ({ delayMs }))}
            {number('Takes ms', entrance.durationMs, (durationMs) => ({ durationMs }))}
          </div>
        )}
      </fieldset>
    </>
  )
}
