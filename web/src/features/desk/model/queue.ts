/** Does one thing after the other, in the order they came; what fails keeps nothing after it from being done. */
export const createQueue = (): (<T>(work: () => Promise<T>) => Promise<T>) => {
  let last: Promise<unknown> = Promise.resolve()
  return (work) => {
    const next = last.then(work)
    last = next.catch(() => undefined)
    return next
  }
}
