/** How an edition was graded as it came in, over all its screens. */
export type EditionGrade = { readonly edition: number; readonly points: number }

/** Grades of editions that were looked through: they never change, so each is done once while the server runs. */
export class GradeBook {
  private readonly known = new Map<string, number>()

  /** From 0 to 100; `grade` is called for an edition that has none yet, and may have none to give. */
  async gradeOf(
    edition: string,
    grade: () => Promise<number | undefined>,
  ): Promise<number | undefined> {
    const known = this.known.get(edition)
    if (known !== undefined) return known
    const points = await grade()
    if (points !== undefined) this.known.set(edition, points)
    return points
  }
}
