// npm start [-- --port N --data DIR --codebase DIR --no-demo]: installs, builds what changed, starts the server.
import { spawn } from 'node:child_process'
import { join } from 'node:path'
import { build, checkNode, install, ROOT } from './steps.mjs'

checkNode()
install()
build({ packages: ['server'] })

const server = spawn(
  process.execPath,
  [join(ROOT, 'server/dist/main.js'), ...process.argv.slice(2)],
  {
    stdio: 'inherit',
  },
)
for (const signal of ['SIGINT', 'SIGTERM']) process.on(signal, () => server.kill(signal))
server.on('exit', (code, signal) => process.exit(signal ? 0 : (code ?? 1)))
