import type { Note, Place } from './note.js'

const note =
  (severity: Note['severity'], code: string) =>
  (where: Place, message: string, help: string): Note => ({ code, severity, message, where, help })

/** Quotes a value from a file for a message, shortened: it may be megabytes long. */
const quote = (value: string): string =>
  `"${value.length > 60 ? `${value.slice(0, 57)}...` : value}"`

const megabytes = (bytes: number): string => `${(bytes / 1_000_000).toFixed(1)} MB`

/** A way by its names; of a long one the beginning and the end. */
const abridged = (names: readonly string[]): readonly string[] =>
  names.length <= 12 ? names : [...names.slice(0, 6), '…', ...names.slice(-5)]

/** Every note the program can give, in one place. Codes never change once released. */
export const notes = {
  fileEmpty: (file: string) =>
    note('error', 'intake/empty-file')(
      { file },
      `${quote(file)} is empty.`,
      'Export the design again and choose that file.',
    ),
  fileTooLarge: (file: string, bytes: number, limit: number) =>
    note('error', 'intake/file-too-large')(
      { file },
      `${quote(file)} has ${megabytes(bytes)}; at most ${megabytes(limit)} can be read.`,
      'Export fewer screens at a time, or link large pictures in place of embedding them.',
    ),
  noDesign: (files: readonly string[]) =>
    note('error', 'intake/no-design')(
      {},
      `There is no design in ${files.map(quote).join(', ') || 'what was chosen'}.`,
      'Choose a .svg file or a design in .json; pictures, fonts and tokens may come with it.',
    ),
  zipBroken: (file: string) =>
    note('error', 'intake/zip-broken')(
      { file },
      `The archive ${quote(file)} cannot be unpacked.`,
      'Make it again, without a password, or choose the files in it.',
    ),
  zipPath: (file: string, path: string) =>
    note('error', 'intake/zip-path')(
      { file, path },
      `The archive ${quote(file)} holds the name ${quote(path)}, which leads out of its folder. Nothing of it was unpacked.`,
      'Do not use this archive, or make a new one of the files you know.',
    ),
  zipTooMany: (file: string, limit: number) =>
    note('error', 'intake/zip-too-many')(
      { file },
      `The archive ${quote(file)} holds more than ${limit} files.`,
      'Choose the files you need.',
    ),
  zipTooLarge: (file: string, bytes: number, limit: number) =>
    note('error', 'intake/zip-too-large')(
      { file },
      `Unpacked, the archive ${quote(file)} has ${megabytes(bytes)}; at most ${megabytes(limit)}, ${megabytes(40_000_000)} a file, and nothing that grows more than 200-fold is unpacked.`,
      'Choose the files you need.',
    ),
  zipSkipped: (file: string, count: number) =>
    note('info', 'intake/zip-skipped')(
      { file },
      `${count === 1 ? 'One file' : `${count} files`} in ${quote(file)} ${count === 1 ? 'is' : 'are'} no design, picture, token file or font and ${count === 1 ? 'was' : 'were'} left out.`,
      'Nothing needs to be done.',
    ),
  pictureBroken: (file: string) =>
    note('warning', 'intake/picture-broken')(
      { file },
      `${quote(file)} is not the picture its name promises and was left out.`,
      'Export it again as PNG, JPEG, GIF, WebP or AVIF.',
    ),
  unknownFormat: (file: string) =>
    note('error', 'intake/unknown-format')(
      { file },
      `${quote(file)} is neither an SVG file nor a Unimorph design.`,
      'Choose a .svg file, or a .json file in the format of docs/DESIGN-FORMAT.md.',
    ),
  notText: (file: string) =>
    note('error', 'intake/not-text')(
      { file },
      `${quote(file)} is not text in UTF-8.`,
      'Save or export it as UTF-8.',
    ),
  brokenJson: (file: string, reason: string) =>
    note('error', 'intake/broken-json')(
      { file },
      `${quote(file)} is not valid JSON: ${reason}.`,
      'Correct the place named above.',
    ),
  brokenXml: (file: string, reason: string, line: number, column: number) =>
    note('error', 'intake/broken-xml')(
      { file, path: `line ${line}, column ${column}` },
      `${quote(file)} is broken at line ${line}, column ${column}: ${reason}.`,
      'Export the file again, or correct that place in a text editor.',
    ),
  entitiesRefused: (file: string) =>
    note('error', 'intake/entities-refused')(
      { file },
      `${quote(file)} declares XML entities that stand for more than a short text, which can be used to exhaust a machine or read other files.`,
      'Export the file again without a document type declaration.',
    ),
  notSvg: (file: string, root: string) =>
    note('error', 'intake/not-svg')(
      { file },
      `The outermost element of ${quote(file)} is <${root}>, not <svg>.`,
      'Choose an SVG file.',
    ),
  nothingDrawn: (file: string) =>
    note('error', 'intake/nothing-drawn')(
      { file },
      `${quote(file)} draws nothing.`,
      'Check that the exported frame is visible and has layers.',
    ),
  tooManyLayers: (file: string, limit: number) =>
    note('error', 'intake/too-many-layers')(
      { file },
      `${quote(file)} has more than ${limit} layers.`,
      'Export fewer screens at a time.',
    ),
  tooManyResolved: (file: string, limit: number) =>
    note('error', 'intake/too-many-layers')(
      { file },
      `${quote(file)} has more than ${limit} layers with what its components draw.`,
      'Use fewer instances of components that hold many others, or export fewer screens at a time.',
    ),
  tooDeep: (file: string, limit: number) =>
    note('error', 'intake/too-deep')(
      { file },
      `${quote(file)} nests layers more than ${limit} deep.`,
      'Flatten the groups that hold only one other group.',
    ),
  numberRefused: (file: string, element: string, value: string) =>
    note('warning', 'intake/number-refused')(
      { file, layer: element },
      `${quote(element)} has the number ${quote(value)}, which is not a size a design can have. The layer was left out.`,
      'Correct the number and import the file again.',
    ),
  scriptDropped: (file: string, what: string) =>
    note('warning', 'intake/script-dropped')(
      { file },
      `${what} in ${quote(file)} was dropped; nothing in a design is ever run.`,
      'Set interactions in the app.',
    ),
  elementSkipped: (file: string, name: string, count: number) =>
    note('warning', 'intake/element-skipped')(
      { file },
      `${count === 1 ? `One <${name}> element was` : `${count} <${name}> elements were`} left out: this kind cannot be read.`,
      'Draw it with shapes, paths, text or pictures, or place it as a picture.',
    ),
  rulesSkipped: (file: string, count: number) =>
    note('warning', 'intake/rules-skipped')(
      { file },
      `${count === 1 ? 'One rule' : `${count} rules`} of the style sheets in ${quote(file)} cannot be read and had no effect.`,
      'Compare the stage with the design; export with plain attributes if it differs.',
    ),
  textAsOutlines: (file: string, layer: string, count: number) =>
    note('warning', 'intake/text-as-outlines')(
      { file, layer },
      `${count === 1 ? 'One drawing looks' : `${count} drawings look`} like text that was turned into outlines, the first of them ${quote(layer)}. They stay drawings.`,
      'Export the design again with text kept as text.',
    ),
  effectSkipped: (file: string, layer: string, what: string) =>
    note('warning', 'intake/effect-skipped')(
      { file, layer },
      `The ${what} on ${quote(layer)} cannot be read and was left out.`,
      'Flatten it into a picture if it matters.',
    ),
  paintSkipped: (file: string, layer: string, value: string) =>
    note('warning', 'intake/paint-skipped')(
      { file, layer },
      `The paint ${quote(value)} of ${quote(layer)} cannot be read and was left out.`,
      'Use a colour or a linear or radial gradient.',
    ),
  useCycle: (file: string, id: string) =>
    note('warning', 'intake/use-cycle')(
      { file, layer: id },
      `<use> of ${quote(id)} leads back to itself and was left out.`,
      'Remove the reference from the file.',
    ),
  imageMissing: (file: string, layer: string, name: string) =>
    note('warning', 'intake/image-missing')(
      { file, layer },
      `The picture ${quote(name)} of ${quote(layer)} did not come with ${quote(file)}. Its place is kept with a grey box.`,
      'Import the picture together with the file, or embed it.',
    ),
  imageRefused: (file: string, layer: string, reason: string) =>
    note('warning', 'intake/image-refused')(
      { file, layer },
      `The picture of ${quote(layer)} cannot be used: ${reason}. Its place is kept with a grey box.`,
      'Use PNG, JPEG, GIF, WebP or AVIF.',
    ),
  tokenConflict: (file: string, token: string) =>
    note('warning', 'intake/token-conflict')(
      { file },
      `The token ${quote(token)} of ${quote(file)} has another value than the token of that name before it, which was kept.`,
      'Give one of them another name, or open the files as separate projects.',
    ),
  tokenRefused: (file: string, token: string, reason: string) =>
    note('warning', 'tokens/refused')(
      { file, path: token },
      `The token ${quote(token)} of ${quote(file)} was left out: ${reason}.`,
      'Correct it in the token file and import it again.',
    ),
  tokensSkipped: (file: string, type: string, count: number) =>
    note('info', 'tokens/skipped')(
      { file },
      `${count === 1 ? 'One token' : `${count} tokens`} of the type ${quote(type)} in ${quote(file)} ${count === 1 ? 'has' : 'have'} no place in a design and ${count === 1 ? 'was' : 'were'} left out.`,
      'Keep them in your code by hand.',
    ),
  tokensWithoutDesign: (file: string) =>
    note('error', 'tokens/without-design')(
      { file },
      `${quote(file)} holds design tokens; there is no design beside it to use them.`,
      'Choose it together with a design file, or import it on the desk under Tokens.',
    ),
  newerVersion: (file: string, version: number, known: number) =>
    note('error', 'design/newer-version')(
      { file, path: 'version' },
      `${quote(file)} is in version ${version} of the format; this program reads up to ${known}.`,
      'Update Unimorph.',
    ),
  invalid: (file: string, path: string, reason: string) =>
    note('error', 'design/invalid')(
      { file, path },
      `${quote(file)}, ${path || 'the document'}: ${reason}.`,
      'See docs/DESIGN-FORMAT.md for what is allowed there.',
    ),
  invalidSettings: (file: string, path: string, reason: string) =>
    note('error', 'settings/invalid')(
      { file, path },
      `${quote(file)}, ${path || 'the document'}: ${reason}.`,
      'See docs/settings.schema.json for what is allowed there.',
    ),
  invalidGlossary: (file: string, path: string, reason: string) =>
    note('error', 'glossary/invalid')(
      { file, path },
      `${quote(file)}, ${path || 'the document'}: ${reason}.`,
      'See docs/glossary.schema.json for what is allowed there.',
    ),
  glossaryUnknownComponent: (id: string) =>
    note('warning', 'glossary/unknown-component')(
      {},
      `The codebase has no component ${quote(id)}, of which the glossary speaks.`,
      'Scan the codebase again, or change the entry to a component it has.',
    ),
  glossaryUnknownProp: (id: string, prop: string) =>
    note('warning', 'glossary/unknown-prop')(
      {},
      `${quote(id)} has no prop ${quote(prop)}, which the glossary gives it.`,
      'Take the prop out of the entry, or name one that the component has.',
    ),
  glossaryRefused: (
    layer: string,
    component: string,
    prop: string,
    value: string | number | boolean,
    type: string,
  ) =>
    note('warning', 'glossary/refused-value')(
      { layer },
      `${component} does not take ${quote(String(value))} as ${prop}: ${type}.`,
      'Say in the glossary what this value is called in the codebase.',
    ),
  glossaryPressLost: (layer: string, component: string) =>
    note('warning', 'glossary/press-lost')(
      { layer },
      `Pressing it does something, which ${component} is not told.`,
      'Give a prop of it where it leads or what it does, or use another component for it.',
    ),
  glossaryHole: (layer: string, component: string, prop: string, wanted: string) =>
    note('info', 'glossary/hole')(
      { layer },
      `What ${component} is given as ${prop} is not in the design: ${wanted}.`,
      'Fill it in by hand, or give it a value in the glossary.',
    ),
  duplicateKey: (file: string, key: string, path: string) =>
    note('error', 'design/duplicate-key')(
      { file, layer: key, path },
      `${quote(file)}, ${path}: the key ${quote(key)} is used by two layers.`,
      'Give every layer its own key.',
    ),
  unknownReference: (file: string, path: string, kind: string, name: string, near?: string) =>
    note('error', 'design/unknown-reference')(
      { file, path },
      `${quote(file)}, ${path}: there is no ${kind} ${quote(name)}${near ? `; did you mean ${quote(near)}?` : '.'}`,
      `Add the ${kind}, or correct the name.`,
    ),
  cycle: (file: string, path: string, kind: string, names: readonly string[]) =>
    note('error', 'design/cycle')(
      { file, path },
      `${quote(file)}, ${path}: the ${kind} leads back to itself (${abridged(names).join(' → ')}).`,
      `Take one of them out of the circle.`,
    ),
  editInvalid: (path: string, reason: string) =>
    note('error', 'edits/invalid')(
      { path },
      `The edit cannot be accepted: ${path ? `${path}: ` : ''}${reason}.`,
      'The kinds of edits and their fields are listed in core/src/edits/edit.ts.',
    ),
  editAdrift: (layer: string, edit: string) =>
    note('warning', 'edits/adrift')(
      { layer },
      `The edit "${edit}" no longer applies: there is no layer ${quote(layer)}.`,
      'Redo it on the layer that took its place, or remove the edit.',
    ),
  tokenEditAdrift: (token: string, edit: string) =>
    note('warning', 'edits/adrift')(
      {},
      `The edit "${edit}" no longer applies${token ? `: the token ${quote(token)} is not there, or its name is taken` : ''}.`,
      'Redo it under Tokens, or remove the edit.',
    ),
  nothingVisible: () =>
    note('warning', 'convert/nothing-visible')(
      {},
      'Every screen is hidden, so there is nothing to convert.',
      'Show a screen again.',
    ),
  unknownLayer: (wanted: string, near?: string) =>
    note('error', 'convert/unknown-layer')(
      { layer: wanted },
      `There is no layer ${quote(wanted)}${near ? `; did you mean ${quote(near)}?` : '.'}`,
      'Give the name or the key of a layer in the design.',
    ),
  linkRefused: (layer: string, url: string) =>
    note('warning', 'convert/link-refused')(
      { layer },
      `The address ${quote(url)} is not http, https, mailto, tel or a path; the link was left out.`,
      'Correct the address in the design.',
    ),
  placedAbsolutely: (layer: string, count: number) =>
    note('info', 'convert/placed-absolutely')(
      { layer },
      `${count} layers have no auto layout around them and are placed by coordinates.`,
      'Add auto layout in the design; the result then follows the width.',
    ),
  outsideScreen: (layer: string, count: number) =>
    note('info', 'convert/outside-screen')(
      { layer },
      `${count === 1 ? '1 layer stands' : `${count} layers stand`} outside of the screen and ${count === 1 ? 'is' : 'are'} left out.`,
      'Move them onto the screen, or make it larger, if they belong to the page.',
    ),
  fileNotFormatted: (path: string, why: string) =>
    note('warning', 'deliver/not-formatted')(
      { file: path },
      `${path} is delivered as it was written, and not in the style of the house: ${why}.`,
      'Run the formatter of your project on it; the code is complete.',
    ),
  brokenCode: (path: string, line: number, what: string, layer: string | undefined) =>
    note('error', 'deliver/broken')(
      { file: path, ...(layer === undefined ? {} : { layer }) },
      `${path}${line > 0 ? `, line ${String(line)}` : ''}: ${what.replace(/\.$/, '')}.`,
      'This is a fault of Unimorph, and not of the design. Please report it with the design.',
    ),
  fileNotMoved: (path: string, wanted: string, why: 'taken' | 'scaffold' | 'unknown') =>
    // What another target would write is renamed there.
    note(why === 'unknown' ? 'info' : 'warning', 'deliver/not-moved')(
      { file: path },
      {
        taken: `${path} was not moved to ${wanted}: another file is there.`,
        scaffold: `${path} was not moved to ${wanted}: the tools of the project look for it where it is.`,
        unknown: `There is no file ${path} that could be moved to ${wanted}.`,
      }[why],
      why === 'unknown' ? 'Take the line out of the settings.' : 'Choose another path.',
    ),
  stylingNotHere: (target: string, styling: string, allowed: readonly string[]) =>
    note('warning', 'settings/styling')(
      {},
      `${target} is not styled by ${styling}: plain CSS was written.`,
      `Choose one of ${allowed.join(', ')}.`,
    ),
  noComponents: () =>
    note('error', 'parts/no-components')(
      {},
      'The design has no component sets: there is no library to convert.',
      'Make components in the design, or convert its screens.',
    ),
  variantsUndrawn: (layer: string, component: string, some: readonly string[], count: number) =>
    note('info', 'parts/undrawn')(
      { layer },
      `${quote(component)} has no drawing of ${some.join('; ')}${count > some.length ? ` and ${count - some.length} more` : ''}: its code takes each property by itself.`,
      'Draw them, or do not use them.',
    ),
  propertyApproximated: (layer: string, property: string, how: string) =>
    note('info', 'account/approximated')(
      { layer, path: property },
      `${property}: ${how}.`,
      'Compare the two on the stage.',
    ),
  propertyLost: (layer: string, property: string, why: string) =>
    note('warning', 'account/lost')(
      { layer, path: property },
      `${property}: ${why}.`,
      'Turn the layer into a picture if it matters.',
    ),
  fontMissing: (family: string, weights: readonly number[], fallback: string) =>
    note('warning', 'account/font-missing')(
      {},
      `The font ${family} (${weights.join(', ')}) is not at hand. Where it is not installed, the machine's ${fallback} font stands in for it, and texts are measured by that.`,
      'Add its files (WOFF2, TTF or OTF) under Fonts on the shelf; they are then delivered too.',
    ),
  fontRefused: (file: string, reason: string) =>
    note('error', 'fonts/refused')(
      { file },
      `${quote(file)} cannot be used as a font: ${reason}.`,
      'Choose the font as a WOFF2, WOFF, TTF or OTF file.',
    ),
  fontInexact: (family: string, weights: readonly number[]) =>
    note('info', 'account/font-inexact')(
      {},
      `Of ${family} the weights or slants of ${weights.join(', ')} are not at hand; the nearest ones stand in for them.`,
      'Add their files under Fonts on the shelf.',
    ),
} as const
