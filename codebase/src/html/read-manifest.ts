import type { CodeProp } from '@unimorph/core'
import type { FoundComponent } from '../found.js'
import { eventNamed, slotNamed } from '../props.js'
import { typeFromWords } from './read-elements.js'

type Described = {
  readonly name?: string
  readonly description?: string
  readonly type?: { readonly text?: string }
  readonly default?: string
  readonly fieldName?: string
}
type Declaration = {
  readonly kind?: string
  readonly name?: string
  readonly tagName?: string
  readonly description?: string
  readonly attributes?: readonly Described[]
  readonly slots?: readonly Described[]
  readonly events?: readonly Described[]
}
type Manifest = {
  readonly schemaVersion?: string
  readonly modules?: readonly {
    readonly path?: string
    readonly declarations?: readonly Declaration[]
  }[]
}

const aboutOf = ({ description }: { readonly description?: string }): { about?: string } =>
  description ? { about: description.split(/\n\s*\n/)[0]!.replace(/\s+/g, ' ') } : {}

/** The elements of a manifest of custom elements, the open format that describes them. */
export const readManifest = (path: string, text: string): readonly FoundComponent[] => {
  const { modules = [] } = JSON.parse(text) as Manifest
  return modules.flatMap(({ path: own, declarations = [] }) =>
    declarations.flatMap((one): FoundComponent[] => {
      const { tagName, name } = one
      if (tagName === undefined || name === undefined) return []
      const props: CodeProp[] = [
        ...(one.attributes ?? []).flatMap((attribute): CodeProp[] =>
          attribute.name === undefined
            ? []
            : [
                {
                  name: attribute.name,
                  type: typeFromWords(attribute.type?.text ?? 'string'),
                  as: 'prop',
                  isRequired: false,
                  ...(attribute.default === undefined
                    ? {}
                    : { standard: attribute.default.replace(/^['"]|['"]$/g, '') }),
                  ...aboutOf(attribute),
                },
              ],
        ),
        ...(one.slots ?? []).map((slot): CodeProp => ({
          ...slotNamed(slot.name || 'default'),
          ...aboutOf(slot),
        })),
        ...(one.events ?? []).flatMap((event): CodeProp[] =>
          event.name === undefined
            ? []
            : [{ ...eventNamed(event.name, event.type?.text ?? 'Event'), ...aboutOf(event) }],
        ),
      ]
      return [
        {
          name,
          framework: 'html',
          path: own ?? path,
          exported: tagName,
          selector: tagName,
          props,
          placedBy: 'class',
          ...aboutOf(one),
        },
      ]
    }),
  )
}
