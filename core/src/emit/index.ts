import { angular } from './angular/index.js'
import { flutter } from './flutter/index.js'
import { html } from './html/index.js'
import { react } from './react/index.js'
import type { Target } from './target.js'
import { vue } from './vue/index.js'

/** Every output language, in the order they are offered. */
export const TARGETS = { html, react, vue, angular, flutter } satisfies Record<string, Target>

export type TargetId = keyof typeof TARGETS

export const TARGET_IDS = Object.keys(TARGETS) as readonly TargetId[]

export const isTargetId = (id: string): id is TargetId => Object.hasOwn(TARGETS, id)
