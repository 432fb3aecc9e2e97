import type { HouseRules } from './rules/house-rules.js'
import type { Units } from './styling/units.js'
import type { StylingId } from './styling/styling.js'
import type { UiProject } from '../ui/index.js'
import type { EmittedFile } from './shared/emitted-file.js'
import type { Prop } from './shared/prop.js'

/** What code is written in that can be written with types and without. */
export const SCRIPTS = ['typescript', 'javascript'] as const
export type Script = (typeof SCRIPTS)[number]

/**
 * How an app shows its pictures: as modules that its bundler resolves, by their address in the built site, or by what the
 * framework has for pictures, in frameworks that have something.
 */
export const PICTURE_FORMS = ['import', 'public', 'framework'] as const
export type PictureForm = (typeof PICTURE_FORMS)[number]

/** Where templates stand that may stand in a file of their own (Angular): there, or in the class they belong to. */
export const TEMPLATE_PLACES = ['file', 'class'] as const
export type TemplatePlace = (typeof TEMPLATE_PLACES)[number]

/**
 * What else may be delivered: comments that say what of the design a component is, a page of how components are used, pictures
 * in several sizes, and a test beside each component.
 */
export const EXTRAS = ['comments', 'examples', 'sizes', 'tests'] as const
export type Extra = (typeof EXTRAS)[number]

/** What a house wants of code that has to be known when it is emitted. */
export type EmitStyle = {
  /**
   * TypeScript when absent. `javascript`: a project without its packages, with types in comments; what is code still has its
   * types, which are erased when it is delivered.
   */
  readonly script?: Script | undefined
  /** What lengths are in; as they were drawn when absent. */
  readonly units?: Units | undefined
  /** What the names of components begin with; of screens they do not. */
  readonly prefix?: string | undefined
  /** As modules when absent; targets whose pictures are always one of both have that. */
  readonly pictures?: PictureForm | undefined
  /** In files of their own when absent. */
  readonly templates?: TemplatePlace | undefined
  /** What is wanted of every element. */
  readonly rules?: HouseRules | undefined
  /** Nothing when absent. */
  readonly extras?: readonly Extra[] | undefined
}

export type EmitOptions = EmitStyle & {
  /** Writes `data-layer` on every element, for a preview joined to the design; never for delivery. */
  readonly marks: boolean
  /** Tailwind when absent; targets that are no pages have a styling of their own. */
  readonly styling?: StylingId | undefined
}

/** What a target gives: the files, and what a style sheet compiler needs to finish them. */
export type Emitted = {
  readonly files: readonly EmittedFile[]
  readonly styles: {
    readonly source: string
    readonly classes: readonly string[]
    /** Where the compiled sheet goes, for targets that deliver one. */
    readonly compiledPath?: string
  }
  /** What is written once and used in several places; targets without components have none. */
  readonly components: readonly EmittedComponent[]
  /** The file that shows each page, by page key. */
  readonly pages: Readonly<Record<string, { readonly path: string; readonly route: string }>>
}

/** A component a part became. */
export type EmittedComponent = {
  /** Id of the part. */
  readonly part: string
  readonly tag: string
  readonly path: string
  readonly props: readonly Prop[]
  /** What each instance is given, by its layer, in the order of the props. */
  readonly uses: readonly {
    readonly layer: string | undefined
    readonly values: readonly (string | boolean | undefined)[]
  }[]
}

/** One output language. A new one is a new folder and a line in the index. */
export type Target = {
  readonly id: string
  readonly label: string
  /** Whether templates may stand in the classes they belong to. */
  readonly hasTemplateFiles?: boolean
  /** Whether its components can be delivered with tests. */
  readonly hasTests?: boolean
  /** Whether it can be written without types. */
  readonly hasPlainScript?: boolean
  /** The stylings it can be delivered in; none for targets that are no pages, which have one of their own. */
  readonly stylings: readonly StylingId[]
  emit(project: UiProject, options: EmitOptions): Emitted
}
