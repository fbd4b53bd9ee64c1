/** `npm run demo`: installs and builds where needed, fills a fresh data folder with the demo collection, starts. */
import { spawn } from 'node:child_process'
import { existsSync, readFileSync } from 'node:fs'
import { join, resolve } from 'node:path'
import { answering, built, endTogether, installed, must, portFree, root, serve } from './lib/setup.mjs'

await installed()
await built()
const dataFolder = resolve(root, process.env.JOLLY_DATA ?? 'data/demo')
const signIns = join(dataFolder, 'demo-sign-ins.json')
if (!existsSync(signIns)) {
  console.log('Filling the demo collection.')
  await must('npx', ['tsx', 'scripts/fill-demo.ts', dataFolder])
}
const host = process.env.HOST ?? '127.0.0.1'
const port = process.env.PORT || 3000
await portFree(port, host)
const meterPort = process.env.METER_PORT ?? '5025'
const meter = spawn(process.execPath, ['--import', 'tsx', 'instruments/meter/main.ts', '--port', meterPort], {
  cwd: root,
  stdio: ['ignore', 'inherit', 'inherit'],
})
const printerPort = process.env.PRINTER_PORT ?? '8631'
const printer = spawn(process.execPath, ['--import', 'tsx', 'instruments/printer/main.ts', '--port', printerPort, '--folder', join(dataFolder, 'printed')], {
  cwd: root,
  stdio: ['ignore', 'inherit', 'inherit'],
})
process.on('exit', () => {
  meter.kill()
  printer.kill()
})
const child = serve(dataFolder, { port, host, stdio: ['ignore', 'ignore', 'inherit'] })
endTogether(child)
const address = `http://${host}:${port}`
await answering(child, address)
console.log(`\nJolly Bench: ${address}\n`)
for (const { name, signInName, password, role } of JSON.parse(readFileSync(signIns, 'utf8')))
  console.log(`  ${role.padEnd(12)} ${signInName.padEnd(8)} ${password}   ${name}`)
console.log(`\nData: ${dataFolder}\nStop with Ctrl+C.`)
