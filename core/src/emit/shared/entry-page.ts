import type { UiProject } from '../../ui/index.js'
import { cleanControls } from './html-escape.js'

/** The file of the sign that browsers show for a site. */
export const FAVICON = 'favicon.svg'

const escapeTitle = (name: string): string =>
  cleanControls(name)
    .replace(/\s+/g, ' ')
    .trim()
    .slice(0, 50)
    .replace(/&/g, '&amp;')
    .replace(/</g, '&lt;')

/** The head of the page that an app is loaded into; `root` is the address that public files are asked for from. */
export const pageHead = ({ name }: UiProject, root = ''): string =>
  [
    '  <head>',
    '    <meta charset="utf-8" />',
    '    <meta name="viewport" content="width=device-width, initial-scale=1" />',
    `    <title>${escapeTitle(name) || 'Screens'}</title>`,
    `    <link rel="icon" href="${root}${FAVICON}" />`,
    '  </head>',
  ].join('\n')

/** The page that an app is loaded into: `root` is the id of its place, `script` where it begins. */
export const entryPage = (
  project: UiProject,
  root: string,
  script: string,
): string => `<!doctype html>
<html lang="${project.language}">
${pageHead(project, '/')}
  <body>
    <div id="${root}"></div>
    <script type="module" src="${script}"></script>
  </body>
</html>
`
