import type { LintKind } from '../kind.js'
import { hasGround, isText, type Seen } from '../laid-out.js'

/** Buttons and chips are no wider than this as drawn; on a phone they may fill the line. */
const SIGN_PX = 320
const PHONE_PX = 600
/** Fields and controls wider than this are stretched, in px, where they grew by half. */
const WIDEST_FIELD_PX = 720
const FIELD_HIGH_PX = 72
const GROWTH = 1.5

/** A ground with one short thing on it: a button, a chip, a round sign. */
const isSign = (seen: Seen): boolean =>
  hasGround(seen) && seen.children.length === 1 && seen.children[0]!.children.length === 0

const isControl = (seen: Seen): boolean =>
  hasGround(seen) && seen.children.length > 0 && seen.children.every(isText)

export const stretched: LintKind = {
  title: 'Stretched',
  why: 'It is far wider than drawn, and its content asks for no such width.',
  find: ({ all, windowPx }) =>
    all.flatMap((at) => {
      const { box, drawn } = at
      if (!drawn || windowPx < PHONE_PX || box.width <= GROWTH * drawn.width) return []
      const isWideSign = isSign(at) && drawn.width <= SIGN_PX && box.width > SIGN_PX
      const isWideControl =
        isControl(at) && drawn.height <= FIELD_HIGH_PX && box.width > WIDEST_FIELD_PX
      return isWideSign || isWideControl ? [{ at, amount: box.width - drawn.width }] : []
    }),
}
