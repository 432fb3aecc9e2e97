import { fromBufferPromise, getFileNameLowLevel, type Entry } from 'yauzl'
import { badRequest } from '../http/problem'

export type ArchivedFile = { readonly path: string; readonly bytes: Buffer }

const MOST_FILES = 20_000
const MOST_BYTES = 200_000_000
/** What file systems take for a name, and for a whole path with room for the folder it goes to, in bytes. */
const LONGEST_NAME = 255
const LONGEST_PATH = 3000

const UNIX = 3
const KIND = 0xf000
const SYMBOLIC_LINK = 0xa000

const TOO_LARGE = 'The archive is too large: leave out what programs have made.'
const BROKEN = 'The archive cannot be unpacked. Make it again, as a ZIP without a password.'

/** What a build or a package manager has made is not looked at. */
const isMade = (name: string): boolean => /(^|\/)(node_modules|\.git)\//.test(name)

/** A file of an archive with its name as text. */
type Named = { readonly name: string; readonly entry: Entry }

const nameOf = ({ generalPurposeBitFlag, fileNameRaw, extraFields }: Entry): string =>
  getFileNameLowLevel(generalPurposeBitFlag, fileNameRaw, extraFields, false)

const isLink = ({ versionMadeBy, externalFileAttributes }: Entry): boolean =>
  versionMadeBy >>> 8 === UNIX && ((externalFileAttributes >>> 16) & KIND) === SYMBOLIC_LINK

/** Why a file may not have a name, as the end of a sentence; undefined where it may. */
const faultOfName = (name: string): string | undefined => {
  const parts = name.split('/')
  if (name.startsWith('/') || /^[A-Za-z]:/.test(name) || parts.includes('..'))
    return 'that would leave its folder'
  if (parts.some((part) => part === '' || part === '.')) return 'with an empty name'
  if (/[\u0000-\u001f]/.test(name)) return 'with a control character in its name'
  const isLong =
    Buffer.byteLength(name) > LONGEST_PATH ||
    parts.some((part) => Buffer.byteLength(part) > LONGEST_NAME)
  return isLong ? 'with a name that is too long' : undefined
}

/** A name as it can be shown: cut, in quotes. */
const shown = (name: string): string => JSON.stringify(name.slice(0, 120))

/** Files of which one is wanted as the folder of another, or that are there twice. */
const clashIn = (names: readonly string[]): string | undefined => {
  const all = new Set<string>()
  for (const name of names) {
    if (all.has(name)) return name
    all.add(name)
  }
  return names.find((name) => {
    const parts = name.split('/')
    return parts.some((_, i) => i > 0 && all.has(parts.slice(0, i).join('/')))
  })
}

/** The folder all files of an archive stand in, as archives of repositories have one; '' where there is none. */
const commonFolder = (names: readonly string[]): string => {
  const [first] = names[0]?.split('/') ?? []
  const folder = `${first ?? ''}/`
  return names.length > 0 && names.every((name) => name.startsWith(folder)) ? folder : ''
}

/** Looks at every name and every stated size before anything is unpacked. */
const checkEntries = (entries: readonly Named[]): void => {
  if (entries.length === 0) throw badRequest('The archive holds no files of a codebase.')
  const size = entries.reduce((sum, { entry }) => sum + entry.uncompressedSize, 0)
  if (entries.length > MOST_FILES || size > MOST_BYTES) throw badRequest(TOO_LARGE)
  for (const { name, entry } of entries) {
    const fault = isLink(entry) ? 'that is a symbolic link' : faultOfName(name)
    if (fault !== undefined) throw badRequest(`The archive has a file ${fault}: ${shown(name)}`)
  }
  const clash = clashIn(entries.map(({ name }) => name))
  if (clash !== undefined)
    throw badRequest(`The archive has a file twice, or in the place of a folder: ${shown(clash)}`)
}

const readBytes = async (stream: AsyncIterable<unknown>): Promise<Buffer> => {
  const chunks: Buffer[] = []
  for await (const chunk of stream) chunks.push(chunk as Buffer)
  return Buffer.concat(chunks)
}

/**
 * The files of a ZIP archive, without the folder around all of them. Throws BadRequestException for what is none, for
 * names that no file may have, and for more bytes than are stated or allowed.
 */
export const readArchive = async (bytes: Buffer): Promise<readonly ArchivedFile[]> => {
  try {
    const archive = await fromBufferPromise(bytes, {
      // Names are read here, so that what is wrong with them is said in our own words.
      decodeStrings: false,
      lazyEntries: true,
      autoClose: false,
    })
    const entries: Named[] = []
    for await (const entry of archive.eachEntry()) {
      const name = nameOf(entry)
      if (!name.endsWith('/') && !isMade(name)) entries.push({ name, entry })
      if (entries.length > MOST_FILES) throw badRequest(TOO_LARGE)
    }
    checkEntries(entries)
    const inside = commonFolder(entries.map(({ name }) => name))
    const files: ArchivedFile[] = []
    for (const { name, entry } of entries) {
      // It ends with an error as soon as there are more bytes than the entry states.
      const stream = await archive.openReadStreamPromise(entry)
      files.push({ path: name.slice(inside.length), bytes: await readBytes(stream) })
    }
    return files
  } catch (error) {
    if (error instanceof Error && 'getStatus' in error) throw error
    throw badRequest(BROKEN)
  }
}
