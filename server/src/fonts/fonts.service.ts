import { createHash } from 'node:crypto'
import { readFileSync } from 'node:fs'
import { Injectable } from '@nestjs/common'
import { notes, type Font, type FontFace, type FontFormat } from '@unimorph/core'
import { FontRefused, listShippedFonts, readFont, type ShippedFont } from '@unimorph/fonts'
import { badInput, notFound } from '../http/problem'
import type { AddFontDto } from './dto/add-font.dto'
import { FontsRepository } from './fonts.repository'

export type FontSummary = {
  id: string
  family: string
  weight: number | readonly [number, number]
  italic: boolean
  format: FontFormat
  /** `shipped` fonts come with the program and cannot be removed. */
  origin: 'shipped' | 'added'
  fileName: string
}

/** The fonts at hand: those that come with the program, and those that were added. */
@Injectable()
export class FontsService {
  private readonly shipped: ReadonlyMap<string, ShippedFont> = new Map(
    listShippedFonts().map((font) => [font.id, font]),
  )
  /** Reading a font takes a tenth of a second, and shipped ones never change. */
  private readonly read = new Map<string, Font>()

  constructor(private readonly repository: FontsRepository) {}

  async list(): Promise<FontSummary[]> {
    const shipped = [...this.shipped.values()].map((font): FontSummary => {
      const { id, family, weight, italic } = font
      return {
        id,
        family,
        weight,
        italic,
        format: 'woff2',
        origin: 'shipped',
        fileName: `${id}.woff2`,
      }
    })
    const added = (await this.repository.findAll()).map(({ id, fileName, format, face }) => {
      const { family, weight, italic } = JSON.parse(face) as FontFace
      const fields = { id, family, weight, italic, fileName, format: format as FontFormat }
      return { ...fields, origin: 'added' } satisfies FontSummary
    })
    // What was added comes first: it stands before a shipped font of the same name.
    return [...added, ...shipped]
  }

  /** A font with its measures and its file, as the converter takes it. */
  async get(id: string): Promise<Font> {
    const known = this.read.get(id)
    if (known) return known
    const shipped = this.shipped.get(id)
    if (shipped) {
      const bytes = readFileSync(shipped.path)
      const font: Font = { ...readFont(bytes), base64: bytes.toString('base64') }
      this.read.set(id, font)
      return font
    }
    const added = await this.repository.find(id)
    if (!added) throw notFound('font')
    return {
      face: JSON.parse(added.face) as FontFace,
      format: added.format as FontFormat,
      base64: added.bytes.toString('base64'),
    }
  }

  async add({ name, data }: AddFontDto): Promise<FontSummary> {
    const bytes = Buffer.from(data, 'base64')
    try {
      const { face, format } = readFont(bytes)
      const id = createHash('sha256').update(bytes).digest('hex')
      const fields = { id, fileName: name, format }
      await this.repository.save({
        ...fields,
        face: JSON.stringify(face),
        bytes,
        createdAt: Date.now(),
      })
      const { family, weight, italic } = face
      return { ...fields, family, weight, italic, origin: 'added' }
    } catch (error) {
      if (error instanceof FontRefused) throw badInput([notes.fontRefused(name, error.message)])
      throw error
    }
  }

  async remove(id: string): Promise<void> {
    if (!(await this.repository.delete(id))) throw notFound('font')
  }
}
