/** Runs something that stops now and then to its end. */
export const finish = <Result>(run: Generator<void, Result>): Result => {
  for (;;) {
    const { done, value } = run.next()
    if (done) return value
  }
}
