import { FLUTTER } from './constructors.js'

export { FLUTTER, type FlutterConstructor, type FlutterType } from './constructors.js'
export { FLUTTER_MEMBERS } from './members.js'
export { FLUTTER_NAMES } from './names.js'

/** Whether a name or a literal is the same each time; `isCall`: of what is called, a constructor that may be constant. */
export const isConstant = (code: string, isCall = false): boolean => {
  if (isCall) {
    const known = FLUTTER[code.replace(/<.*>/, '')]
    // Components of the project may all be constant.
    return known ? known.isConst : /^[A-Z]\w*$/.test(code) || code === ''
  }
  return (
    /^(true|false|null|-?\d+(\.\d+)?|0x[0-9A-F]+|double\.infinity)$/.test(code) ||
    /^[A-Z]\w*\.[a-z]\w*$/.test(code) ||
    /^'(?:[^'\\$]|\\.)*'$|^"(?:[^"\\$]|\\.)*"$/.test(code)
  )
}
