#!/usr/bin/env node
import { loadBundle } from './load-bundle.mjs'

const args = process.argv.slice(2)
const command = /^[a-z]+$/.test(args[0] ?? '') ? args[0] : 'help'
const { run, keep } = loadBundle(command) ?? (await import('../dist/main.js'))
process.exitCode = await run(args)
// What is no command fails, and gets no cache.
if (process.exitCode === 0) keep?.()
