import type { ContrastPair, NamedColor } from '@unimorph/core'
import { useEffect, useState, type ReactNode } from 'react'
import type { TokenList, TokenRow } from '../../../engine/protocol'
import { messageOf } from '../../../shared/lib/api'
import { copyText } from '../../../shared/lib/copy-text'
import { showProblem } from '../../../shared/lib/toast-store'
import { Button } from '../../../shared/ui/Button'
import { Modal } from '../../../shared/ui/Modal'
import { describeToken } from '../model/describe-token'
import { useDesk } from '../model/desk-store'

type Shadow = { x: number; y: number; blur: number; spread: number; color: string; inset: boolean }
type Letters = {
  family: string
  size: number
  weight: number
  italic?: boolean
  lineHeight?: number
}

const TITLES: readonly (readonly [TokenRow['type'], string])[] = [
  ['color', 'Colours'],
  ['type', 'Type'],
  ['space', 'Spacing'],
  ['radius', 'Corners'],
  ['shadow', 'Shadows'],
  ['border', 'Borders'],
]

/** A token's value as large as it is meant. */
const Specimen = ({ token, value }: { readonly token: TokenRow; readonly value: unknown }) => {
  switch (token.type) {
    case 'color':
      return (
        <span
          className="block h-12 rounded-sm border border-rule"
          style={{ background: String(value) }}
        />
      )
    case 'type': {
      const { family, size, weight, italic } = value as Letters
      return (
        <span
          className="block truncate"
          style={{
            fontFamily: `"${family}", sans-serif`,
            fontSize: Math.min(size, 40),
            fontWeight: weight,
            fontStyle: italic ? 'italic' : 'normal',
            lineHeight: 1.2,
          }}
        >
          Low water at dusk
        </span>
      )
    }
    case 'space':
      return <span className="block h-4 bg-settled" style={{ width: Math.max(1, Number(value)) }} />
    case 'radius':
      return (
        <span
          className="block h-12 w-20 border-2 border-ink"
          style={{ borderRadius: Number(value) }}
        />
      )
    case 'shadow':
      return (
        <span
          className="block h-12 w-20 rounded-sm bg-sheet"
          style={{
            boxShadow: (value as Shadow[])
              .map(
                (s) =>
                  `${s.inset ? 'inset ' : ''}${s.x}px ${s.y}px ${s.blur}px ${s.spread}px ${s.color}`,
              )
              .join(', '),
          }}
        />
      )
    case 'border': {
      const { width, color, dashed } = value as { width: number; color: string; dashed: boolean }
      return (
        <span
          className="block h-8 w-20"
          style={{ border: `${width}px ${dashed ? 'dashed' : 'solid'} ${color}` }}
        />
      )
    }
  }
}

const Code = ({ text }: { readonly text: string }) => (
  <button
    type="button"
    title={`Copy ${text}`}
    className="max-w-full truncate rounded-sm border border-rule px-1 font-mono text-xs hover:bg-tint"
    onClick={() => copyText(text)}
  >
    {text}
  </button>
)

const Card = ({ token }: { readonly token: TokenRow }) => {
  const isSeveral = Object.keys(token.values).length > 1
  return (
    <li className="flex min-w-0 flex-col gap-1.5 border-t border-rule pt-2">
      <div className={token.type === 'color' ? 'flex gap-2' : 'flex flex-col gap-1.5'}>
        {Object.entries(token.values).map(([mode, value]) => (
          <div key={mode} className="min-w-0 flex-1">
            <Specimen token={token} value={value} />
            <span className="block truncate text-xs text-soft">
              {isSeveral ? `${mode}: ` : ''}
              {describeToken(token.type, value)}
            </span>
          </div>
        ))}
      </div>
      <span className="flex items-baseline gap-2">
        <span className="min-w-0 flex-1 truncate font-semibold" title={token.name}>
          {token.name}
        </span>
        <span className="text-xs whitespace-nowrap text-soft">
          {token.useCount === 0 ? 'not used' : `used ${token.useCount}×`}
        </span>
      </span>
      {token.alias && <span className="truncate text-xs text-soft">= {token.alias}</span>}
      <span className="flex min-w-0 flex-wrap gap-1">
        <Code text={token.code.variable} />
        {token.code.dart !== undefined && <Code text={token.code.dart} />}
        {token.code.classes.map((name) => (
          <Code key={name} text={name} />
        ))}
      </span>
    </li>
  )
}

const nameOf = ({ token, color }: NamedColor): string => token ?? color

const PairRow = ({
  pair,
  onShow,
}: {
  readonly pair: ContrastPair
  readonly onShow: () => void
}) => {
  const all = [{ mode: '', contrast: pair.contrast }, ...pair.inModes]
  const short = all.filter(({ contrast }) => contrast < pair.needed - 0.005)
  return (
    <tr className="border-t border-rule">
      <td className="w-16 py-1">
        <span
          className="block w-14 rounded-sm border border-rule px-2 py-0.5 text-center"
          style={{ background: pair.ground.color, color: pair.ink.color }}
        >
          Aa
        </span>
      </td>
      <td className="py-1 pr-4">{nameOf(pair.ink)}</td>
      <td className="py-1 pr-4">{nameOf(pair.ground)}</td>
      <td className="py-1 pr-4 text-right tabular-nums">
        {all.map(({ mode, contrast }) => (
          <span key={mode} className="ml-3 whitespace-nowrap">
            {mode && <span className="text-soft">{mode} </span>}
            {contrast.toFixed(1)} : 1
          </span>
        ))}
      </td>
      <td
        className={`py-1 pr-4 ${short.length === 0 ? 'text-settled' : 'font-semibold text-problem'}`}
      >
        {short.length === 0
          ? 'enough'
          : `needs ${pair.needed} : 1${short.every(({ mode }) => mode) ? ` in ${short.map(({ mode }) => mode).join(', ')}` : ''}`}
      </td>
      <td className="py-1 text-right">
        <button type="button" className="underline hover:bg-tint" onClick={onShow}>
          {pair.layers.length} text{pair.layers.length === 1 ? '' : 's'}
        </button>
      </td>
    </tr>
  )
}

const Part = ({ title, children }: { readonly title: string; readonly children: ReactNode }) => (
  <section className="mt-5">
    <h3 className="mb-2 text-base font-semibold">{title}</h3>
    {children}
  </section>
)

type Props = { readonly list: TokenList; readonly onClose: () => void }

/** All tokens as large as they are meant, how each is written in code, and which colours stand on one another. */
export const StylePage = ({ list, onClose }: Props) => {
  const select = useDesk((s) => s.select)
  const listPairs = useDesk((s) => s.listPairs)
  const [pairs, setPairs] = useState<readonly ContrastPair[]>()
  const { tokens } = list
  // They are looked for in every screen, and only when somebody wants to see them.
  useEffect(() => {
    let isCurrent = true
    listPairs()
      .then((next) => {
        if (isCurrent) setPairs(next)
      })
      .catch((error: unknown) => showProblem(messageOf(error)))
    return () => {
      isCurrent = false
    }
  }, [listPairs, list])
  return (
    <Modal title="Style page" isOpen onClose={onClose} size="wide">
      <div className="mt-1 flex items-baseline gap-4">
        <p className="min-w-0 flex-1 text-sm text-soft">
          {tokens.length === 0
            ? 'The design has no tokens yet: accept proposed ones or import a token file.'
            : 'Only tokens that are used come into the delivered style sheet. Click code to copy it.'}
        </p>
        <Button onClick={onClose}>Close</Button>
      </div>
      {TITLES.map(([type, title]) => {
        const own = tokens.filter((token) => token.type === type)
        return own.length === 0 ? null : (
          <Part key={type} title={title}>
            <ul className="grid grid-cols-[repeat(auto-fill,minmax(14rem,1fr))] gap-4 text-sm">
              {own.map((token) => (
                <Card key={token.name} token={token} />
              ))}
            </ul>
          </Part>
        )
      })}
      <Part title="Contrast">
        {!pairs ? (
          <p className="text-sm text-soft">Looking at every text …</p>
        ) : pairs.length === 0 ? (
          <p className="text-sm text-soft">
            No text lies on a plain colour. Contrast over pictures and gradients is not measured.
          </p>
        ) : (
          <table className="w-full text-left text-sm">
            <thead className="text-xs text-soft">
              <tr>
                <th scope="col" className="font-normal">
                  Sample
                </th>
                <th scope="col" className="font-normal">
                  Text
                </th>
                <th scope="col" className="font-normal">
                  Background
                </th>
                <th scope="col" className="pr-4 text-right font-normal">
                  Contrast
                </th>
                <th scope="col" className="font-normal">
                  By WCAG 2.2 AA
                </th>
                <th scope="col" className="text-right font-normal">
                  Where
                </th>
              </tr>
            </thead>
            <tbody>
              {pairs.map((pair) => (
                <PairRow
                  key={`${nameOf(pair.ink)} ${nameOf(pair.ground)}`}
                  pair={pair}
                  onShow={() => {
                    select([...pair.layers])
                    onClose()
                  }}
                />
              ))}
            </tbody>
          </table>
        )}
      </Part>
    </Modal>
  )
}
