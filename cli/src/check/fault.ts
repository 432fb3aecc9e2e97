/** What a tool finds wrong in delivered code; `file` from the folder of the projects on, the line from 1 where it is known. */
export type Fault = {
  readonly file: string
  readonly line: number
  readonly message: string
}
