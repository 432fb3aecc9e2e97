/** `Log a sighting · Tidewrack`; of a project of one page, the page's name. */
export const titleOf = (page: string, pageCount: number, project: string): string => {
  const [own, whole] = [page.trim() || 'Untitled', project.trim()]
  return pageCount > 1 && whole !== '' && whole !== own ? `${own} · ${whole}` : own
}
