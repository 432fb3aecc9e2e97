import type { Entrance, Hover, TokenType } from '@unimorph/core'
import { useState, type ComponentProps, type ReactNode } from 'react'
import { Button } from '../../../shared/ui/Button'
import { Choice } from '../../../shared/ui/Choice'
import { useDesk } from '../model/desk-store'
import { ENTRANCE_PARTS, withPart, withoutPart } from '../model/entrance-parts'
import { useTokens } from '../model/use-tokens'
import { NumberBox } from './NumberBox'
import { TokenSelect } from './TokenSelect'

type Effect = Hover['effects'][number]
type EffectKind = Effect['kind']

/** Effects on hover in the order they are listed, with what each begins as. */
const EFFECTS: readonly { readonly label: string; readonly effect: Effect }[] = [
  { label: 'Scale', effect: { kind: 'scale', to: 1.05 } },
  { label: 'Move up', effect: { kind: 'lift', px: 4 } },
  { label: 'Shadow', effect: { kind: 'shadow' } },
  { label: 'Opacity', effect: { kind: 'fade', to: 0.8 } },
  { label: 'Underline', effect: { kind: 'underline' } },
  { label: 'Background', effect: { kind: 'tint', color: '#e7efe9' } },
]
const EASINGS = (['linear', 'ease', 'ease-in', 'ease-out', 'ease-in-out'] as const).map(
  (value) => ({ value, label: value }),
)
const WHEN = [
  { value: 'load', label: 'on page load' },
  { value: 'view', label: 'on scroll into view' },
] as const
const USUAL_HOVER_MS = 200

type Props = {
  readonly layer: string
  readonly hover: Hover | undefined
  readonly entrance: Entrance | undefined
}

/** One thing that can be switched on, with its figure while it is. */
const Line = ({
  label,
  isOn,
  onToggle,
  children,
}: {
  readonly label: string
  readonly isOn: boolean
  readonly onToggle: (isOn: boolean) => void
  readonly children?: ReactNode
}) => (
  <div className="flex h-7 items-center gap-2">
    <label className="flex w-32 shrink-0 items-center gap-1.5">
      <input
        type="checkbox"
        checked={isOn}
        onChange={(event) => onToggle(event.target.checked)}
        className="accent-settled"
      />
      {label}
    </label>
    {isOn && children}
  </div>
)

/** One of the design's tokens of a type; only effects that take a token read the list. */
const DesignTokenSelect = ({
  type,
  ...props
}: Omit<ComponentProps<typeof TokenSelect>, 'tokens'> & { readonly type: TokenType }) => {
  const tokens = useTokens()?.tokens ?? []
  return <TokenSelect {...props} tokens={tokens.filter((token) => token.type === type)} />
}

/** The figure or token of an effect on hover. */
const EffectValue = ({
  effect,
  onChange,
}: {
  readonly effect: Effect
  readonly onChange: (effect: Effect) => void
}) => {
  switch (effect.kind) {
    case 'scale':
      return (
        <NumberBox
          label="Scale"
          value={effect.to}
          least={0.5}
          most={2}
          step={0.01}
          onChange={(to) => onChange({ ...effect, to })}
        />
      )
    case 'lift':
      return (
        <NumberBox
          label="Move up"
          unit="px"
          value={effect.px}
          most={100}
          onChange={(px) => onChange({ ...effect, px })}
        />
      )
    case 'fade':
      return (
        <NumberBox
          label="Opacity"
          value={effect.to}
          most={1}
          step={0.05}
          onChange={(to) => onChange({ ...effect, to })}
        />
      )
    case 'underline':
      return null
    case 'shadow':
      return (
        <DesignTokenSelect
          label="Shadow token"
          none="large, soft"
          type="shadow"
          value={effect.token}
          onChange={(token) =>
            onChange({ kind: 'shadow', ...(token ? { token: token.name } : {}) })
          }
        />
      )
    case 'tint': {
      const hex = effect.color.slice(0, 7)
      return (
        <>
          <DesignTokenSelect
            label="Background token"
            none={hex}
            type="color"
            value={effect.token}
            onChange={(token) => {
              const [color] = Object.values(token?.values ?? {})
              const isPlain =
                typeof color === 'string' && /^#[0-9a-f]{6}([0-9a-f]{2})?$/.test(color)
              onChange({
                kind: 'tint',
                color: isPlain ? color : effect.color,
                ...(token ? { token: token.name } : {}),
              })
            }}
          />
          {effect.token === undefined && (
            <input
              type="color"
              aria-label="Background colour"
              value={hex}
              onChange={(event) => onChange({ kind: 'tint', color: event.target.value })}
              className="h-6 w-8 rounded-sm border border-rule bg-sheet"
            />
          )}
        </>
      )
    }
  }
}

const HoverEffects = ({ layer, hover }: Pick<Props, 'layer' | 'hover'>) => {
  const edit = useDesk((s) => s.edit)
  const effects = hover?.effects ?? []
  const durationMs = hover?.durationMs ?? USUAL_HOVER_MS
  const set = (next: readonly Effect[], ms = durationMs): void =>
    void edit({
      kind: 'set-interaction',
      layers: [layer],
      hover: next.length > 0 ? { effects: [...next], durationMs: ms } : null,
    })
  const without = (kind: EffectKind): readonly Effect[] => effects.filter((e) => e.kind !== kind)
  return (
    <fieldset className="mb-2 border-t border-rule pt-2">
      <legend className="float-left mb-1 w-full text-soft">On hover</legend>
      <div className="clear-both">
        {EFFECTS.map(({ label, effect: usual }) => {
          const own = effects.find(({ kind }) => kind === usual.kind)
          return (
            <Line
              key={label}
              label={label}
              isOn={own !== undefined}
              onToggle={(isOn) => set(isOn ? [...effects, usual] : without(usual.kind))}
            >
              {own && (
                <EffectValue
                  effect={own}
                  onChange={(next) => set(effects.map((e) => (e.kind === next.kind ? next : e)))}
                />
              )}
            </Line>
          )
        })}
        {effects.length > 0 && (
          <div className="flex h-7 items-center gap-2">
            <span className="w-32 shrink-0 pl-5 text-soft">Duration</span>
            <NumberBox
              label="Duration on hover"
              unit="ms"
              value={durationMs}
              most={10_000}
              onChange={(ms) => set(effects, ms)}
            />
          </div>
        )}
      </div>
    </fieldset>
  )
}

const EntranceParts = ({ layer, entrance }: Pick<Props, 'layer' | 'entrance'>) => {
  const edit = useDesk((s) => s.edit)
  // What was switched on last stays on while its figure is the one that changes nothing.
  const [added, setAdded] = useState<string>()
  const set = (next: Entrance | undefined): void =>
    void edit({ kind: 'set-interaction', layers: [layer], entrance: next ?? null })
  const time = (
    label: string,
    value: number,
    change: (ms: number) => Partial<Entrance>,
  ): ReactNode => (
    <div className="flex h-7 items-center gap-2">
      <span className="w-32 shrink-0 pl-5 text-soft">{label}</span>
      <NumberBox
        label={`${label} on entering`}
        unit="ms"
        value={value}
        most={10_000}
        onChange={(ms) => entrance && set({ ...entrance, ...change(ms) })}
      />
    </div>
  )
  return (
    <fieldset className="mb-2 border-t border-rule pt-2">
      <legend className="float-left mb-1 w-full text-soft">On entering</legend>
      <div className="clear-both">
        <div className="flex h-7 items-center">
          <Button
            aria-pressed={!entrance}
            className="h-6! px-1.5! text-xs"
            onClick={() => entrance && set(undefined)}
          >
            None
          </Button>
        </div>
        {ENTRANCE_PARTS.map((part) => {
          const value = entrance && part.read(entrance)
          const isOn = value !== undefined || (entrance !== undefined && added === part.id)
          return (
            <Line
              key={part.id}
              label={part.label}
              isOn={isOn}
              onToggle={(on) => {
                setAdded(on ? part.id : undefined)
                set(on ? withPart(entrance, part, part.usual) : withoutPart(entrance!, part))
              }}
            >
              <NumberBox
                label={part.label}
                {...(part.unit ? { unit: part.unit } : {})}
                value={value ?? part.usual}
                least={part.least}
                most={part.most}
                step={part.step}
                onChange={(next) => set(withPart(entrance, part, next))}
              />
            </Line>
          )
        })}
        {entrance && (
          <>
            {time('Duration', entrance.durationMs, (durationMs) => ({ durationMs }))}
            {time('Delay', entrance.delayMs, (delayMs) => ({ delayMs }))}
            <div className="flex flex-wrap gap-1.5 pt-1 pl-5">
              <Choice
                isLabelHidden
                label="Easing"
                value={entrance.easing}
                options={EASINGS}
                onChange={(easing) => set({ ...entrance, easing })}
              />
              <Choice
                isLabelHidden
                label="When"
                value={entrance.at}
                options={WHEN}
                onChange={(at) => set({ ...entrance, at })}
              />
            </div>
          </>
        )}
      </div>
    </fieldset>
  )
}

/** What the selected layer does on hover and on entering, with the figures CSS takes. */
export const MotionCard = ({ layer, hover, entrance }: Props) => (
  <>
    <HoverEffects layer={layer} hover={hover} />
    <EntranceParts key={layer} layer={layer} entrance={entrance} />
  </>
)
