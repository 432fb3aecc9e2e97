import { createTableMeasure, findAll, type Design } from '@unimorph/core'

/** How an edition was graded as it came in, over all its screens. */
export type EditionGrade = { readonly edition: number; readonly points: number }

/** Grades of documents that were looked through: they never change, so each is done once while the server runs. */
export class GradeBook {
  private readonly known = new Map<string, number>()

  /**
   * From 0 to 100, the mean of the screens. `document` names the text of the design, which is only
   * loaded when it was not graded yet. Undefined when there is no design to be had.
   */
  async gradeOf(
    document: string,
    load: () => Promise<Design | undefined>,
  ): Promise<number | undefined> {
    const known = this.known.get(document)
    if (known !== undefined) return known
    const design = await load()
    if (!design) return undefined
    const { grades } = findAll(design, createTableMeasure())
    const sum = grades.reduce((total, grade) => total + grade.points, 0)
    const points = Math.round((sum / Math.max(1, grades.length)) * 10) / 10
    this.known.set(document, points)
    return points
  }
}
