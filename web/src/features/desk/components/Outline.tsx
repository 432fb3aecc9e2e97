import { useVirtualizer } from '@tanstack/react-virtual'
import {
  useCallback,
  useEffect,
  useMemo,
  useRef,
  useState,
  type KeyboardEvent,
  type MouseEvent,
} from 'react'
import type { LayerRow } from '../../../engine/protocol'
import { showProblem } from '../../../shared/lib/toast-store'
import { NameDialog } from '../../../shared/ui/NameDialog'
import { useDesk } from '../model/desk-store'
import { OutlineRow } from './OutlineRow'
import {
  findAncestors,
  initiallyOpen,
  isFiltering,
  NO_FILTER,
  visibleRows,
  type Filter,
} from '../model/outline-rows'
import { markLayers, useStructure } from '../model/structure-store'
import { useArrange } from './ArrangeMenu'
import { OutlineFilter } from './OutlineFilter'

const ROW_HEIGHT = 26
/** How long the pointer rests on a row before its layer is outlined. */
const REST_MS = 90

const toggled = <T,>(set: ReadonlySet<T>, item: T): Set<T> => {
  const next = new Set(set)
  if (!next.delete(item)) next.add(item)
  return next
}

/** The design as a tree-table: one row a layer. */
export const Outline = () => {
  const drawn = useDesk((s) => s.drawn)
  const selection = useDesk((s) => s.selection)
  const select = useDesk((s) => s.select)
  const edit = useDesk((s) => s.edit)
  const [open, setOpen] = useState<ReadonlySet<string>>(new Set())
  const [filter, setFilter] = useState<Filter>(NO_FILTER)
  const point = useDesk((s) => s.point)
  const [renaming, setRenaming] = useState<LayerRow>()
  const list = useRef<HTMLDivElement>(null)

  const layers = useMemo(() => drawn?.layers ?? [], [drawn])
  const firstKey = layers[0]?.key
  useEffect(() => {
    setOpen(initiallyOpen(layers))
    // Only a different design starts anew; an edit keeps what is open.
    // eslint-disable-next-line react-hooks/exhaustive-deps
  }, [firstKey])

  const kinds = useMemo(() => [...new Set(layers.map((l) => l.type))].sort(), [layers])
  const rows = useMemo(() => visibleRows(layers, open, filter), [layers, open, filter])
  const findings = useStructure((s) => s.report?.findings)
  const marks = useMemo(() => markLayers(findings ?? []), [findings])
  const arrange = useArrange()
  const primary = selection.at(-1)
  const index = rows.findIndex((row) => row.key === primary)
  const virtual = useVirtualizer({
    count: rows.length,
    getScrollElement: () => list.current,
    estimateSize: () => ROW_HEIGHT,
    overscan: 12,
  })

  // A layer selected elsewhere is unfolded to and brought into view.
  useEffect(() => {
    if (!primary) return
    const at = layers.findIndex((l) => l.key === primary)
    if (at < 0) return
    const closed = findAncestors(layers, at).filter((l) => !open.has(l.key))
    if (closed.length > 0) setOpen(new Set([...open, ...closed.map((l) => l.key)]))
    // eslint-disable-next-line react-hooks/exhaustive-deps
  }, [primary, layers])
  useEffect(() => {
    if (index >= 0) virtual.scrollToIndex(index)
    // eslint-disable-next-line react-hooks/exhaustive-deps
  }, [index, primary])

  const pick = (row: LayerRow, event: MouseEvent): void => {
    if (event.shiftKey && index >= 0) {
      const to = rows.indexOf(row)
      const [a, b] = index < to ? [index, to] : [to, index]
      const range = rows.slice(a, b + 1).map((r) => r.key)
      select(index < to ? range : range.reverse())
    } else if (event.ctrlKey || event.metaKey) {
      select(
        selection.includes(row.key)
          ? selection.filter((k) => k !== row.key)
          : [...selection, row.key],
      )
    } else select([row.key])
  }

  const withEditable = (row: LayerRow | undefined, work: (row: LayerRow) => void): void => {
    if (!row) return
    if (row.editable) work(row)
    else showProblem(`${row.name} belongs to a component; change it there.`)
  }

  // Rows are drawn again only when their own values change, so what they call must stay the same.
  const latest = useRef({ pick, rename: (row: LayerRow) => withEditable(row, setRenaming) })
  latest.current = { pick, rename: (row) => withEditable(row, setRenaming) }
  const onPick = useCallback(
    (row: LayerRow, event: MouseEvent) => latest.current.pick(row, event),
    [],
  )
  const onRename = useCallback((row: LayerRow) => latest.current.rename(row), [])
  // While the list scrolls under the pointer, every row passes below it; only one that it rests on is outlined.
  const resting = useRef<number>(undefined)
  const onPoint = useCallback(
    (key: string | undefined) => {
      window.clearTimeout(resting.current)
      // On leaving, at once: the pointer may already be on something else.
      if (key === undefined) point(undefined)
      else resting.current = window.setTimeout(() => point(key), REST_MS)
    },
    [point],
  )
  const onToggle = useCallback((key: string) => setOpen((keys) => toggled(keys, key)), [])

  const move = (to: number): void => {
    const row = rows[Math.min(rows.length - 1, Math.max(0, to))]
    if (row) select([row.key])
  }

  const onKeyDown = (event: KeyboardEvent): void => {
    const row = rows[index]
    const keys: Record<string, () => void> = {
      ArrowDown: () => move(index + 1),
      ArrowUp: () => move(index - 1),
      Home: () => move(0),
      End: () => move(rows.length - 1),
      PageDown: () => move(index + 15),
      PageUp: () => move(index - 15),
      ArrowRight: () => {
        if (row && row.childCount > 0 && !open.has(row.key)) setOpen(toggled(open, row.key))
        else move(index + 1)
      },
      ArrowLeft: () => {
        if (row && row.childCount > 0 && open.has(row.key)) setOpen(toggled(open, row.key))
        else if (row) {
          const around = findAncestors(layers, layers.indexOf(row)).at(-1)
          if (around) select([around.key])
        }
      },
      F2: () => withEditable(row, setRenaming),
      Delete: () => withEditable(row, (r) => void edit({ kind: 'remove', layer: r.key })),
      h: () =>
        withEditable(row, (r) => void edit({ kind: 'hide', layer: r.key, hidden: r.visible })),
    }
    const byHand = arrange.actions.find((action) => action.key === event.key)
    const run = keys[event.key] ?? (byHand && (() => arrange.run(byHand)))
    if (!run || event.ctrlKey || event.metaKey || event.altKey) return
    event.preventDefault()
    run()
  }

  return (
    <div className="flex min-h-0 flex-1 flex-col">
      <OutlineFilter
        filter={filter}
        kinds={kinds}
        onChange={setFilter}
        onUnfold={() => setOpen(new Set(layers.filter((l) => l.childCount > 0).map((l) => l.key)))}
        onFold={() => setOpen(initiallyOpen(layers))}
      />
      <div className="flex border-b border-rule px-3 py-1 text-xs text-soft" aria-hidden>
        <span className="flex-1">Layer</span>
        <span className="w-16">Kind</span>
        <span className="w-20 text-right">Size</span>
      </div>
      <div
        ref={list}
        role="treegrid"
        aria-label="Layers"
        aria-multiselectable
        aria-rowcount={rows.length}
        aria-activedescendant={index >= 0 ? `row-${index}` : undefined}
        tabIndex={0}
        onKeyDown={onKeyDown}
        onPointerLeave={() => onPoint(undefined)}
        className="min-h-0 flex-1 overflow-auto -outline-offset-2"
      >
        {rows.length === 0 && drawn && (
          <div role="row">
            <div role="gridcell" className="p-3 text-soft">
              No layer matches{filter.query ? ` “${filter.query}”` : ''}. Change or clear the
              filter.
            </div>
          </div>
        )}
        <div role="presentation" style={{ height: virtual.getTotalSize(), position: 'relative' }}>
          {virtual.getVirtualItems().map((item) => {
            const row = rows[item.index]!
            return (
              <OutlineRow
                key={row.key}
                row={row}
                index={item.index}
                top={item.start}
                height={ROW_HEIGHT}
                isSelected={selection.includes(row.key)}
                isOpen={open.has(row.key) || isFiltering(filter)}
                mark={marks.get(row.key)}
                onPick={onPick}
                onRename={onRename}
                onToggle={onToggle}
                onPoint={onPoint}
              />
            )
          })}
        </div>
      </div>
      {arrange.question}
      {renaming && (
        <NameDialog
          title="Rename layer"
          initial={renaming.name}
          onClose={() => setRenaming(undefined)}
          onDone={(name) => {
            setRenaming(undefined)
            void edit({ kind: 'rename', layer: renaming.key, name })
          }}
        />
      )}
    </div>
  )
}
