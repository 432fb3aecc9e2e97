import { Link } from 'react-router'
import type { Project } from '../../../shared/lib/api'
import { ActionMenu } from '../../../shared/ui/ActionMenu'

type Props = {
  readonly project: Project
  readonly onRename: () => void
  readonly onDuplicate: () => void
  readonly onRemove: () => void
}

const formatDate = (time: number): string =>
  new Intl.DateTimeFormat(undefined, { dateStyle: 'medium', timeStyle: 'short' }).format(time)

const plural = (count: number, word: string): string => `${count} ${word}${count === 1 ? '' : 's'}`

export const ProjectCard = ({ project, onRename, onDuplicate, onRemove }: Props) => {
  const actions: [string, () => void][] = [
    ['Rename', onRename],
    ['Duplicate', onDuplicate],
    ['Remove', onRemove],
  ]
  return (
    <li className="group relative flex flex-col rounded border border-rule bg-sheet focus-within:border-ink hover:border-ink">
      <Link to={`/projects/${project.id}`} className="flex flex-1 flex-col rounded">
        <span className="block h-44 overflow-hidden rounded-t border-b border-rule bg-paper">
          <img
            src={`/api/projects/${project.id}/thumbnail?edition=${project.edition}`}
            alt=""
            loading="lazy"
            className="w-full"
          />
        </span>
        <span className="block px-4 pt-3 pr-12 font-semibold">{project.name}</span>
        <span className="block px-4 pb-3 text-xs text-soft">
          {plural(project.screenCount, 'screen')} · changed {formatDate(project.updatedAt)}
        </span>
      </Link>
      <ActionMenu
        label={`More for ${project.name}`}
        anchor="bottom end"
        className="absolute right-2 bottom-4 h-7 w-8 rounded-sm border border-transparent hover:border-rule"
        actions={actions}
      >
        ⋯
      </ActionMenu>
    </li>
  )
}
