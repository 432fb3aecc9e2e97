import { BadRequestException, NotFoundException } from '@nestjs/common'
import type { Note } from '@unimorph/core'

/** Input that cannot be accepted, with the notes that say why. */
export const badInput = (notes: readonly Note[]): BadRequestException =>
  new BadRequestException({
    message: notes[0]?.message ?? 'The input cannot be accepted.',
    notes,
  })

export const notFound = (what: string): NotFoundException =>
  new NotFoundException({ message: `There is no such ${what}. It may have been removed.` })

/** A request that cannot be done as it is, with a sentence that says why. */
export const badRequest = (message: string): BadRequestException =>
  new BadRequestException({ message })
