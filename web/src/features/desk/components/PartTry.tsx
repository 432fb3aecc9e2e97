import type { EmittedComponent, Prop } from '@unimorph/core'
import { useCallback, useLayoutEffect, useMemo, useRef, useState } from 'react'
import type { Converted } from '../../../engine/protocol'
import { Button } from '../../../shared/ui/Button'
import { Modal } from '../../../shared/ui/Modal'
import { useDesk } from '../model/desk-store'
import {
  buildPartFiles,
  buildPartPage,
  findPictures,
  givenBy,
  linesOf,
  readLines,
  type Given,
} from '../model/part-page'
import { useBundle } from '../model/use-bundle'

const FIELD = 'h-7 w-full min-w-0 rounded-sm border border-rule bg-sheet px-2 text-sm'

type ControlProps = {
  readonly prop: Prop
  readonly value: Given[string] | undefined
  readonly pictures: readonly string[]
  readonly onChange: (value: Given[string] | undefined) => void
}

/** What one prop is given, by what may be given. */
const Control = ({ prop, value, pictures, onChange }: ControlProps) => {
  const { kind, options = [], standard, fields } = prop
  if (typeof value === 'number') {
    return (
      <input
        type="number"
        step="any"
        className={FIELD}
        value={value}
        onChange={({ target: { valueAsNumber } }) =>
          onChange(Number.isNaN(valueAsNumber) ? 0 : valueAsNumber)
        }
      />
    )
  }
  switch (kind) {
    case 'flag':
      return (
        <input
          type="checkbox"
          checked={(value ?? standard ?? false) === true}
          onChange={(event) => onChange(event.target.checked)}
        />
      )
    case 'choice':
      return (
        <select
          className={FIELD}
          value={String(value ?? standard ?? '')}
          onChange={(event) => onChange(event.target.value)}
        >
          {options.map((option) => (
            <option key={option}>{option}</option>
          ))}
        </select>
      )
    case 'code':
      return (
        <select
          className={FIELD}
          value={typeof value === 'object' && 'picture' in value ? value.picture : ''}
          onChange={(event) => onChange({ picture: event.target.value })}
        >
          {pictures.map((name) => (
            <option key={name}>{name}</option>
          ))}
        </select>
      )
    case 'list':
      return (
        <textarea
          rows={3}
          className={`${FIELD} h-auto! resize-y py-1`}
          value={linesOf(value)}
          title={fields && `A line each: ${fields.map(({ name }) => name).join(' | ')}`}
          onChange={(event) => onChange(readLines(event.target.value, fields))}
        />
      )
    case 'slot':
      return null
    case 'number':
    case 'text':
    case 'classes':
      return (
        <input
          className={FIELD}
          value={typeof value === 'string' ? value : ''}
          placeholder={typeof standard === 'string' ? standard : 'nothing'}
          onChange={(event) => onChange(event.target.value || undefined)}
        />
      )
  }
}

type Props = {
  readonly component: EmittedComponent
  readonly nameOf: (layer: string) => string
  readonly onClose: () => void
}

/** A component running by itself, with a control for everything it is given. */
export const PartTry = ({ component, nameOf, onClose }: Props) => {
  const converted = useDesk((s) => s.converted)
  const [instance, setInstance] = useState(component.uses[0]?.layer)
  const [given, setGiven] = useState<Given>(() => givenBy(component, instance))
  const [width, setWidth] = useState(480)
  const frame = useRef<HTMLIFrameElement>(null)

  const filesOf = useCallback((source: Converted) => buildPartFiles(source, component), [component])
  const bundled = useBundle(converted, filesOf)
  const pictures = useMemo(
    () => (converted ? [...findPictures(converted).keys()] : []),
    [converted],
  )

  // The frame speaks once: who listens must do so before it can load.
  useLayoutEffect(() => {
    const { current } = frame
    if (!current || !converted || !bundled) return
    const send = (message: object): void => current.contentWindow?.postMessage(message, '*')
    const hear = ({ source, data }: MessageEvent): void => {
      if (source !== current.contentWindow) return
      const { kind } = (data ?? {}) as { readonly kind?: string }
      if (kind === 'ready') {
        send({ kind: 'prepare', scripts: bundled.scripts })
        send({ kind: 'show', html: buildPartPage(converted, bundled.bundle) })
      }
      if (kind === 'waits') send({ kind: 'props', props: given })
    }
    addEventListener('message', hear)
    send({ kind: 'props', props: given })
    return () => removeEventListener('message', hear)
  }, [bundled, converted, given])

  if (!converted) return null
  const props = component.props.filter(({ kind }) => kind !== 'classes' && kind !== 'slot')
  const slots = component.props.flatMap(({ kind, name }) => (kind === 'slot' ? [name] : []))
  const change = (name: string, value: Given[string] | undefined): void => {
    const rest = Object.entries(given).filter(([own]) => own !== name)
    setGiven(Object.fromEntries(value === undefined ? rest : [...rest, [name, value]]))
  }
  return (
    <Modal title={`${component.tag}, running`} isOpen onClose={onClose} size="wide">
      <div className="mt-3 flex gap-5">
        <div className="flex w-72 shrink-0 flex-col gap-2 text-sm">
          <label className="flex flex-col gap-0.5">
            <span className="text-xs text-soft">As in</span>
            <select
              className={FIELD}
              value={instance}
              onChange={(event) => {
                setInstance(event.target.value)
                setGiven(givenBy(component, event.target.value))
              }}
            >
              {component.uses.map(({ layer }) =>
                layer === undefined ? null : (
                  <option key={layer} value={layer}>
                    {nameOf(layer)}
                  </option>
                ),
              )}
            </select>
          </label>
          {props.map((prop) => (
            <label
              key={prop.name}
              className={prop.kind === 'flag' ? 'flex items-center gap-2' : 'flex flex-col gap-0.5'}
            >
              {prop.kind === 'flag' ? null : <span className="font-mono text-xs">{prop.name}</span>}
              <Control
                prop={prop}
                value={given[prop.name]}
                pictures={pictures}
                onChange={(value) => change(prop.name, value)}
              />
              {prop.kind === 'flag' && <span className="font-mono text-xs">{prop.name}</span>}
            </label>
          ))}
          {slots.length > 0 && (
            <p className="text-soft">
              What is shown in <span className="font-mono text-xs">{slots.join(', ')}</span> comes
              from the page; here it stays empty.
            </p>
          )}
          {component.props.length === 0 && (
            <p className="text-soft">It is given nothing: it always looks like this.</p>
          )}
          <label className="mt-2 flex items-center gap-2 border-t border-rule pt-3 text-xs">
            Padding
            <input
              type="range"
              min={200}
              max={760}
              step={8}
              value={width}
              onChange={(event) => setWidth(Number(event.target.value))}
              className="min-w-0 flex-1"
            />
            <span className="w-14 text-right tabular-nums">{width} px</span>
          </label>
        </div>
        <div className="min-w-0 flex-1 overflow-auto border border-rule bg-paper p-2">
          {bundled ? (
            <iframe
              ref={frame}
              title={`${component.tag}, running`}
              src="/preview"
              sandbox="allow-scripts allow-forms"
              className="block h-96 border-0 bg-white"
              style={{ width }}
            />
          ) : (
            <p className="p-2 text-sm text-soft">Building …</p>
          )}
        </div>
      </div>
      <div className="mt-4 flex justify-end">
        <Button onClick={onClose}>Close</Button>
      </div>
    </Modal>
  )
}
