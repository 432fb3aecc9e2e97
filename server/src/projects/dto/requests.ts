import { ApiProperty } from '@nestjs/swagger'
import {
  IsArray,
  IsBoolean,
  IsIn,
  IsNotEmpty,
  IsObject,
  IsOptional,
  IsString,
  Matches,
  MaxLength,
} from 'class-validator'
import {
  GRAINS,
  LANGUAGE_TAG,
  LIBRARIES,
  PICTURE_FORMS,
  TEMPLATE_PLACES,
  SCRIPTS,
  UNITS,
  STYLINGS,
  TARGETS,
  type CodeStyle,
  type FileLayout,
  type Grain,
  type Library,
  type HouseRules,
  EXTRAS,
  type Extra,
  type PictureForm,
  type TemplatePlace,
  type Script,
  type Units,
} from '@unimorph/core'
import { IsSetting } from './is-setting'

const NAME_LIMIT = 200

export class RenameProjectDto {
  @ApiProperty({ example: 'Tidewrack' })
  @IsString()
  @IsNotEmpty()
  @MaxLength(NAME_LIMIT)
  name: string
}

/** A design as `docs/DESIGN-FORMAT.md` describes it; it is checked by the format's own schema. */
export class CreateEditionDto {
  @ApiProperty({ type: 'object', additionalProperties: true })
  @IsObject()
  design: Record<string, unknown>

  @ApiProperty({ type: 'array', items: { type: 'object' }, required: false })
  @IsOptional()
  @IsArray()
  notes?: Record<string, unknown>[]
}

export class CreateProjectDto extends CreateEditionDto {
  @ApiProperty({ example: 'Tidewrack' })
  @IsString()
  @IsNotEmpty()
  @MaxLength(NAME_LIMIT)
  name: string
}

/** One edit; it is checked by the schema of the edits. */
export class CreateEditDto {
  @ApiProperty({ type: 'object', additionalProperties: true })
  @IsObject()
  edit: Record<string, unknown>
}

export class SettingsDto {
  @ApiProperty({ enum: Object.keys(TARGETS) })
  @IsIn(Object.keys(TARGETS))
  target: string

  @ApiProperty({ enum: STYLINGS })
  @IsIn(STYLINGS)
  styling: string

  /** What is pressed answers the pointer also where no state of it is drawn. */
  @ApiProperty({ required: false })
  @IsOptional()
  @IsBoolean()
  derivesStates?: boolean

  /** The language of the texts, as a BCP 47 tag; told by their words when absent. */
  @ApiProperty({ required: false, example: 'pt-BR' })
  @IsOptional()
  @Matches(LANGUAGE_TAG)
  language?: string

  /** How finely long pages are cut into files; into their sections when absent. */
  @ApiProperty({ required: false, enum: GRAINS })
  @IsOptional()
  @IsIn(GRAINS)
  grain?: Grain

  /** Whether React is written with types; so when absent. */
  @ApiProperty({ required: false, enum: SCRIPTS })
  @IsOptional()
  @IsSetting('script')
  script?: Script

  /** What lengths are in; as they were drawn when absent. */
  @ApiProperty({ required: false, enum: UNITS })
  @IsOptional()
  @IsSetting('units')
  units?: Units

  /** What the names of components begin with. */
  @ApiProperty({ required: false, example: 'Tide' })
  @IsOptional()
  @IsSetting('prefix')
  prefix?: string

  /** How React and Vue refer to pictures; as modules when absent. */
  @ApiProperty({ required: false, enum: PICTURE_FORMS })
  @IsOptional()
  @IsSetting('pictures')
  pictures?: PictureForm

  /** Where templates of Angular stand; in files of their own when absent. */
  @ApiProperty({ required: false, enum: TEMPLATE_PLACES })
  @IsOptional()
  @IsSetting('templates')
  templates?: TemplatePlace

  /** What is wanted of every element. */
  @ApiProperty({ required: false, type: [Object], example: [{ rule: 'no-arbitrary-values' }] })
  @IsOptional()
  @IsSetting('rules')
  rules?: HouseRules

  /** What else is delivered. */
  @ApiProperty({ required: false, enum: EXTRAS, isArray: true })
  @IsOptional()
  @IsSetting('extras')
  extras?: Extra[]

  /** How code is written. */
  @ApiProperty({ required: false, type: Object, example: { quotes: 'single' } })
  @IsOptional()
  @IsSetting('code')
  code?: CodeStyle

  /** What files are called and where they lie. */
  @ApiProperty({ required: false, type: Object, example: { names: 'kebab' } })
  @IsOptional()
  @IsSetting('files')
  files?: FileLayout

  /** A page that shows every variant of every component. */
  @ApiProperty({ required: false, enum: LIBRARIES })
  @IsOptional()
  @IsIn(LIBRARIES)
  library?: Library
}
