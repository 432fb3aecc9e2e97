export type { Asset, ComponentSet, Design, Screen } from './design/design.js'
export { DESIGN_VERSION } from './design/design.js'
export { freeKey } from './design/free-key.js'
export { containsBox, resolveSides, type Box } from './design/geometry.js'
export { childrenOf, isContainer, type Layer, type LayerType } from './design/layer.js'
export { nameOfArrange, type Arrange } from './design/layout.js'
export { buildJsonSchema, MAX_DEPTH, MAX_LAYERS, readDesign } from './design/read-design.js'
export { resolveInstances } from './design/resolve-instances.js'
export { drawingsOf, findLayer, measureBoxes, walkLayers, walkScreens } from './design/walk.js'
export { writeDesign } from './design/write-design.js'
export { drawLayer } from './drawing/index.js'
export { createSheetDrawer, type SheetDrawer } from './drawing/sheets.js'
export { withCurrentColor } from './drawing/single-color.js'
export { applyEdits } from './edits/index.js'
export { editSchema, type Edit, type SingleEdit } from './edits/edit.js'
export { overlapAny } from './edits/structure.js'
export {
  findAll,
  FINDING_KINDS,
  mendAll,
  type Finding,
  type FindingKind,
  type Grade,
  type Mended,
  type ReadingChoice,
  type Report,
} from './findings/index.js'
export { inferLayout, placesOf, walkNodes, type LayoutNode } from './layout/index.js'
export { layerOfNode } from './design/node-key.js'
export { convert, stylingNotes, prepare, type Settings } from './convert.js'
export {
  buildSettingsSchema,
  findSettingProblem,
  readSettings,
  SETTINGS_FILE,
  writeSettings,
  type SettingsFile,
} from './settings/settings-file.js'
export { findUnsupported, type Unsupported } from './settings/unsupported.js'
export {
  FRAMEWORKS,
  type CodeComponent,
  type Codebase,
  type CodeProp,
  type CodeToken,
  type CodeType,
  type Conventions,
  type Framework,
  type Literal,
  type PartialNode,
  type PartialText,
  type ScanNote,
} from './codebase/codebase.js'
export {
  buildGlossarySchema,
  EMPTY_GLOSSARY,
  FIELD_FACTS,
  FUNCTIONS,
  GLOSSARY_FILE,
  packagesOf,
  readGlossary,
  subjectOf,
  writeGlossary,
  type Entry,
  type FieldFact,
  type FunctionName,
  type Glossary,
  type Source,
} from './glossary/glossary.js'
export { applyGlossary } from './glossary/apply.js'
export { coverDesign, type Covered } from './glossary/cover.js'
export type { DesignProperty } from './glossary/suggest/design-side.js'
export { checkGlossary, type GlossaryProblem } from './glossary/check.js'
export { suggestGlossary, type Suggested, type Suggestion } from './glossary/suggest/index.js'
export { folderOf, joinPath } from './text/file-paths.js'
export {
  FLUTTER,
  FLUTTER_MEMBERS,
  FLUTTER_NAMES,
  type FlutterType,
} from './emit/flutter/api/index.js'
export { byConventions } from './deliver/by-conventions.js'
export { emitStyleOf, hasHouseStyle, type HouseStyle } from './deliver/house-style.js'
export { ADDED, type HouseRules } from './emit/rules/house-rules.js'
export { prettierOptions, type CodeStyle } from './deliver/code-style.js'
export { scalePictures, type PictureCodecs } from './deliver/scale-pictures.js'
export { FILE_NAMES, FOLDERS, isSafePath, type FileLayout } from './deliver/file-layout.js'
export { UNITS, type Units } from './emit/styling/units.js'
export {
  EXTRAS,
  PICTURE_FORMS,
  TEMPLATE_PLACES,
  SCRIPTS,
  type Extra,
  type PictureForm,
  type TemplatePlace,
  type Script,
} from './emit/target.js'
export { isStylingId, stylingIn, STYLINGS, type StylingId } from './emit/styling/styling.js'
export { isTargetId, TARGET_IDS, TARGETS, type TargetId } from './emit/index.js'
export type { EmittedFile } from './emit/shared/emitted-file.js'
export { FAVICON } from './emit/shared/entry-page.js'
export { layerOfLine, lineAt } from './emit/shared/layer-at.js'
export { toKebab, toPascal } from './text/names.js'
export { saysNumber } from './text/says-number.js'
export type { Span } from './emit/shared/print-document.js'
export { compileStyles } from './emit/styling/tailwind/compile.js'
export { codeOfTokens, type TokenCode } from './emit/token-code.js'
export { listContrastPairs, type ContrastPair, type NamedColor } from './findings/contrast.js'
export type { Emitted } from './emit/target.js'
export { decodeBase64, encodeBase64 } from './pictures/base64.js'
export { finishPictures, type Look } from './intake/finish-pictures.js'
export { readFiles, type Intake } from './intake/index.js'
export { summarise, type ScreenSummary, type Summary } from './intake/summary.js'
export { takeScreens, type Choice } from './intake/take-screens.js'
export { MAX_FILE_BYTES, type InputFile } from './intake/input-file.js'
export {
  examineWidths,
  type Artboard,
  type Examined,
  type WidthReport,
} from './responsive/examine.js'
export {
  composeScreen,
  matchArtboards,
  sweepWidths,
  WIDTH_READINGS,
  type Break,
  type Match,
  type WidthReading,
} from './responsive/index.js'
export {
  LINT_KINDS,
  LINT_WIDTHS,
  lintPage,
  lintWidths,
  type LintKindId,
  type LintMark,
} from './responsive/lint/index.js'
export { createPlacing } from './responsive/place-page.js'
export { readRoles, type RoleReading } from './meaning/roles/index.js'
export { withParts } from './parts/index.js'
export { isLibrary, LIBRARIES, type Library } from './parts/library-screen.js'
export { GRAINS, isGrain, type Grain } from './parts/sections.js'
export type { UiPart } from './ui/nodes.js'
export type { EmittedComponent } from './emit/target.js'
export type { Prop } from './emit/shared/prop.js'
export { LANGUAGE_TAG } from './meaning/language.js'
export { nameThings } from './meaning/names.js'
export { findTitle } from './meaning/find-title.js'
export {
  inputTypeSchema,
  roleSchema,
  type InputType,
  type Role,
  type Ruling,
} from './design/role.js'
export { NARROWEST_PX, USUAL_BREAKPOINTS, WIDEST_PX } from './responsive/window.js'
export type { LayerWidths, Way, WidthDifference } from './design/widths.js'
export type { Note } from './notes/note.js'
export { notes } from './notes/catalogue.js'
export {
  applyCase,
  createMeasure,
  createTableMeasure,
  measureWith,
  type TextMeasure,
} from './text/measure.js'
export { layOutText } from './text/wrap.js'
export { findFace, type Font, type FontFace, type FontFormat } from './text/face.js'
export { fallbackOf, isGenericFamily, listFontNeeds, type FontNeed } from './fonts/needs.js'
export { proposeTokens, type TokenProposal, type TokenUse } from './tokens/propose.js'
export { isTokenFile, readTokens, type TokenFile } from './tokens/read-tokens.js'
export { resolveTokenValue } from './tokens/resolve.js'
export { writeTokens } from './tokens/write-tokens.js'
export { listTokenFields } from './tokens/fields.js'
export type { Token, TokenType } from './design/token.js'
export { buildUi, type UiProject } from './ui/index.js'
export type { UiNode } from './ui/nodes.js'
export {
  targetOf,
  type Entrance,
  type Hover,
  type Interaction,
  type Link,
  type PanelKind,
  type PanelSide,
} from './design/interaction.js'
export type { FormRuling } from './design/form.js'
