import type { Doc } from '../shared/document.js'
import { printCall } from './print-call.js'
import { quoteString } from './quote-string.js'

/** `usePage("Today", "Low water is at 14:32.");` */
export const printPage = (title: string, about: string | undefined): Doc =>
  printCall('usePage', [title, ...(about === undefined ? [] : [about])].map(quoteString))
