import { layerOfNode } from '@unimorph/core'
import { useState } from 'react'
import type { NamedRole } from '../../../engine/roles'
import { Button } from '../../../shared/ui/Button'
import { useDesk } from '../model/desk-store'
import { byDoubt, isDoubtful, ROLE_NAMES, useRoles } from '../model/roles-store'
import { useFollowDrawing } from '../model/use-follow-drawing'
import { toCodeKeys, toShownKey, useWidths } from '../model/widths-store'
import { ChoiceRow } from './ChoiceRow'
import { RoleCard } from './RoleCard'
import { LanguageSelect } from './LanguageSelect'
import { ScreenMap } from './ScreenMap'
import { Section } from './Section'

const nameOfRole = ({ role, level }: NamedRole): string =>
  `${ROLE_NAMES[role]}${level ? ` ${level}` : ''}`

const RoleRow = ({
  role,
  isChosen,
  onChoose,
}: {
  readonly role: NamedRole
  readonly isChosen: boolean
  readonly onChoose: () => void
}) => (
  <ChoiceRow isChosen={isChosen} onChoose={onChoose}>
    <span className="min-w-0 flex-1 truncate">{role.name}</span>
    <span className="w-28 shrink-0 truncate">{nameOfRole(role)}</span>
    <span
      className={`w-10 shrink-0 text-right tabular-nums ${role.isRuling ? 'text-settled' : isDoubtful(role) ? 'text-doubt' : 'text-soft'}`}
    >
      {role.isRuling ? 'yours' : `${Math.round(role.confidence * 100)} %`}
    </span>
  </ChoiceRow>
)

/** What the layers of the shown screen are, the doubtful ones first, and what a person says of the chosen one. */
export const MeaningTab = () => {
  const roles = useRoles((s) => s.roles)
  const selection = useDesk((s) => s.selection)
  const select = useDesk((s) => s.select)
  const [chosen, setChosen] = useState<string>()
  const [isMapOpen, setIsMapOpen] = useState(false)
  const derivesStates = useDesk((s) => s.settings.derivesStates ?? true)
  const changeSettings = useDesk((s) => s.changeSettings)
  const report = useWidths((s) => s.report)
  const screen = useDesk((s) => s.screen)
  useFollowDrawing(
    useRoles.getState(),
    useDesk((s) => s.drawn),
    screen,
  )

  // What is said of a layer is said of it at every width.
  const last = toCodeKeys(report, selection).at(-1)
  // Several boxes may stand for one layer; the one that was pressed in the list stays the one that is meant.
  const isMeant = chosen !== undefined && last !== undefined && layerOfNode(chosen) === last
  const key = isMeant ? chosen : last
  const choose = (layer: string): void => {
    setChosen(layer)
    select([toShownKey(report, screen, layerOfNode(layer))])
  }
  if (!roles) return <p className="p-3 text-xs text-soft">Reading roles …</p>
  const doubtful = byDoubt(roles).filter(isDoubtful)
  const sure = roles.filter((role) => !isDoubtful(role))
  const next = doubtful.find((role) => role.layer !== key)
  const rows = (list: readonly NamedRole[]) => (
    <ul>
      {list.map((role) => (
        <RoleRow
          key={role.layer}
          role={role}
          isChosen={role.layer === key}
          onChoose={() => choose(role.layer)}
        />
      ))}
    </ul>
  )
  return (
    <div className="flex min-h-0 flex-1 flex-col">
      <div className="flex shrink-0 flex-wrap items-center gap-x-3 gap-y-1.5 border-b border-rule px-3 py-1.5 text-xs">
        <Button className="h-6! text-xs" onClick={() => setIsMapOpen(true)}>
          Map of the screens
        </Button>
        <label
          className="flex items-center gap-1.5 whitespace-nowrap"
          title="Style links and buttons for hover and press where the design draws no such state"
        >
          <input
            type="checkbox"
            checked={derivesStates}
            onChange={(event) => changeSettings({ derivesStates: event.target.checked })}
            className="accent-settled"
          />
          Add hover and active styles
        </label>
        <LanguageSelect />
        {isMapOpen && <ScreenMap onClose={() => setIsMapOpen(false)} />}
      </div>
      <div className="min-h-0 flex-1 overflow-auto">
        <Section
          title="To decide"
          count={doubtful.length}
          hint="Uncertain readings, least certain first"
        >
          {doubtful.length === 0 ? (
            <p className="px-3 text-xs text-soft">
              Nothing to decide. Select a layer to change its role.
            </p>
          ) : (
            <>
              {rows(doubtful)}
              {next && (
                <Button className="mx-3 mt-1 h-6! text-xs" onClick={() => choose(next.layer)}>
                  Next
                </Button>
              )}
            </>
          )}
        </Section>
        <Section title="Settled" count={sure.length}>
          {sure.length === 0 ? (
            <p className="px-3 text-xs text-soft">
              No layer has a role yet. Select a layer to set one.
            </p>
          ) : (
            rows(sure)
          )}
        </Section>
      </div>
      <RoleCard layer={key} role={roles.find((role) => role.layer === key)} />
    </div>
  )
}
