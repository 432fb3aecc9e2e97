/** Whether a text says a number, and nothing else, as code would write it: `-4.5`, but neither `04` nor `4 %`. */
export const saysNumber = (text: unknown): text is string =>
  typeof text === 'string' && /^-?\d+(\.\d+)?$/.test(text) && String(Number(text)) === text
