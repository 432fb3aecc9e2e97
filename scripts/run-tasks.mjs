// Runs tasks side by side, each as soon as what it needs is done and there are cores for it.
import { spawn } from 'node:child_process'

/** Runs a command; resolves with whether it succeeded and all it printed. */
export const runCommand = (command, args, { cwd, env = {} } = {}) =>
  new Promise((done) => {
    const child = spawn(command, args, {
      cwd,
      env: { ...process.env, ...env },
      stdio: ['ignore', 'pipe', 'pipe'],
    })
    let output = ''
    child.stdout.on('data', (data) => (output += data))
    child.stderr.on('data', (data) => (output += data))
    child.on('error', (error) => done({ ok: false, output: `${output}${error.message}\n` }))
    child.on('close', (code) => done({ ok: code === 0, output }))
  })

const seconds = (ms) => `${(ms / 1000).toFixed(1)} s`

/**
 * `tasks`: `{ name, needs, cores, run }`, in the order in which they are preferred; `run` resolves with `{ ok, output }`. A task
 * whose needs failed is left out. Prints what a task said when it has ended. Resolves with `{ name, state, ms }` for each.
 */
export const runTasks = async (tasks, cores) => {
  const states = new Map(tasks.map(({ name }) => [name, 'waiting']))
  const times = new Map()
  let free = cores
  const running = new Set()

  const end = (task, state, ms, output) => {
    states.set(task.name, state)
    times.set(task.name, ms)
    console.log(`\n== ${task.name}: ${state}${state === 'left out' ? '' : ` in ${seconds(ms)}`}`)
    const text = output.trimEnd()
    if (text !== '') console.log(text)
  }
  const start = (task) => {
    const used = Math.min(task.cores ?? 1, cores)
    free -= used
    states.set(task.name, 'running')
    const began = Date.now()
    const work = Promise.resolve()
      .then(() => task.run())
      .catch((error) => ({ ok: false, output: String(error?.stack ?? error) }))
      .then(({ ok, output }) => {
        free += used
        running.delete(work)
        end(task, ok ? 'passed' : 'failed', Date.now() - began, output ?? '')
      })
    running.add(work)
  }
  const startWhatCan = () => {
    for (const task of tasks) {
      if (states.get(task.name) !== 'waiting') continue
      const needs = (task.needs ?? []).map((name) => states.get(name) ?? 'passed')
      if (needs.some((state) => state === 'failed' || state === 'left out')) {
        end(task, 'left out', 0, '')
        return startWhatCan()
      }
      const isReady = needs.every((state) => state === 'passed')
      // The cores are kept for a task that needs more of them than are free, so that it is not put off for ever.
      if (isReady && Math.min(task.cores ?? 1, cores) > free) return
      if (isReady) start(task)
    }
  }
  startWhatCan()
  while (running.size > 0) {
    await Promise.race(running)
    startWhatCan()
  }
  return tasks.map(({ name }) => ({ name, state: states.get(name), ms: times.get(name) ?? 0 }))
}
