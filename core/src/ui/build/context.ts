import type { PanelKind } from '../../design/interaction.js'
import type { Layer } from '../../design/layer.js'
import type { LayoutNode } from '../../layout/index.js'
import type { RoleReading } from '../../meaning/roles/index.js'
import type { DrawnState, StateName } from '../../design/states.js'
import type { TextMeasure } from '../../text/measure.js'
import type { Account } from '../account.js'
import type { AssetCollector } from '../asset-collector.js'
import type { ControlIds } from '../control-ids.js'
import type { UiBorder, UiNode } from '../nodes.js'
import type { Target } from '../targets.js'
import { isSameValue } from '../same-value.js'

/** What building the nodes of one page needs to know and collects. */
export type BuildContext = {
  readonly account: Account
  readonly collector: AssetCollector
  readonly measure: TextMeasure
  /** The page each screen became, by keys: artboards of one screen are one page. */
  readonly pages: ReadonlyMap<string, string>
  /** What each layer is, by its key. */
  readonly roles: ReadonlyMap<string, RoleReading>
  /** The first page. */
  readonly home: string
  /** The page a link with these words leads to. */
  pageNamed(words: string): string | undefined
  /** What a layer is called: by a person, else from what it says and is. */
  nameOf(layer: Layer): string
  readonly ids: ControlIds
  /** What links and buttons of the page refer to, by the key of the layer. */
  readonly targets: ReadonlyMap<string, Target>
  /** The panel that shows a screen, by the screen's key. */
  panelOf(screen: string): { readonly id: string; readonly kind: PanelKind } | undefined
  /** What is built is shown over a page, as this. */
  readonly panel: { readonly id: string; readonly kind: PanelKind } | undefined
  /** The instance with drawn states that a layer is, or stands in, by keys. */
  ownerOf(key: string): string | undefined
  statesOf(instance: string): readonly DrawnState[]
  /** The state an instance is drawn in, when that is not how it rests. */
  stateOf(instance: string): StateName | undefined
  /** What was built last of a node: most nodes are the same at several steps. */
  readonly built: Map<LayoutNode, { readonly around: Surroundings; readonly result: UiNode }>
  /** The name of a menu in the page, by the key of its panel. */
  menuId(key: string): string
}

/** What a node must know of the one it stands in. */
export type Surroundings = {
  readonly parent: LayoutNode | undefined
  /** Width of the parent's border: coordinates are counted from inside it. */
  readonly border: UiBorder | undefined
  readonly isInLink: boolean
  /** The table or group of rows it stands right in, which makes it a row. */
  readonly isInTable?: boolean
}

/** Whether a node becomes the same in both places. */
export const isSamePlace = (a: Surroundings, b: Surroundings): boolean =>
  a.parent === b.parent &&
  a.isInLink === b.isInLink &&
  a.isInTable === b.isInTable &&
  isSameValue(a.border, b.border)

/** Builds the node a layer becomes: those that hold others are given it. */
export type BuildChild = (context: BuildContext, node: LayoutNode, around: Surroundings) => UiNode

/** Surroundings of the outermost layer of a page. */
export const OUTSIDE: Surroundings = { parent: undefined, border: undefined, isInLink: false }
