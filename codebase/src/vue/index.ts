import type { SFCTemplateBlock } from '@vue/compiler-sfc'
import { nameOfTag } from '../name.js'
import type { Reader } from '../readers.js'
import { readUses } from '../typescript/read-uses.js'
import { syntaxNotes } from '../typescript/syntax-notes.js'
import { readVue } from './read-vue.js'
import { scriptOf } from './script-of.js'

type TemplateNode = {
  readonly type: number
  readonly tag?: string
  readonly props?: readonly {
    readonly name: string
    readonly value?: { readonly content: string }
  }[]
  readonly children?: readonly TemplateNode[]
}

/** The slots of a template, and the components it uses. */
const readTemplate = (template: SFCTemplateBlock | null) => {
  const slots: string[] = []
  const tags = new Map<string, number>()
  const visit = (node: TemplateNode): void => {
    if (node.tag === 'slot') {
      const name = node.props?.find((prop) => prop.name === 'name')
      slots.push(name?.value?.content ?? 'default')
    } else if (node.tag !== undefined && /[A-Z-]/.test(node.tag)) {
      const tag = nameOfTag(node.tag)
      tags.set(tag, (tags.get(tag) ?? 0) + 1)
    }
    for (const child of node.children ?? []) visit(child)
  }
  if (template?.ast) visit(template.ast as unknown as TemplateNode)
  return { slots, tags }
}

/** Single-file components of Vue, with `<script setup>` and with options. */
export const vue: Reader = {
  reads: ({ path }) => path.endsWith('.vue'),
  read({ path, text }, checked) {
    const module = checked?.moduleOf(path)
    if (!checked || !module) return {}
    const { descriptor, errors } = scriptOf(text)
    const { slots, tags } = readTemplate(descriptor.template)
    const component = readVue(path, slots, checked)
    return {
      components: component ? [component] : [],
      uses: readUses(path, checked, tags).map((use) => {
        // What is imported from a single-file component is its one component.
        const [file] = use.of.split('#')
        return file!.endsWith('.vue') ? { ...use, of: `${file}#default` } : use
      }),
      notes: [
        ...errors.slice(0, 1).map((why) => ({ path, message: `It is not valid: ${why}` })),
        ...syntaxNotes(path, module),
      ],
      needs: checked.needsOf(module),
    }
  },
}
