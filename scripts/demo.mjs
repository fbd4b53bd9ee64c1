/** `npm run demo`: installs and builds where needed, fills a fresh data folder with the demo collection, starts. */
import { spawn } from 'node:child_process'
import { createServer } from 'node:net'
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
/** The port that was asked for, else the first one that is free: beside another demo each has stand-ins of its own. */
async function standInPort(asked, usual) {
  if (asked) return Number(asked)
  for (let port = usual; port < usual + 50; port++) {
    const free = await new Promise(done => {
      const probe = createServer()
      probe.once('error', () => done(false))
      probe.listen(port, '127.0.0.1', () => probe.close(() => done(true)))
    })
    if (free) return port
  }
  return usual
}
const meterPort = await standInPort(process.env.METER_PORT, 5025)
const meter = spawn(process.execPath, ['--import', 'tsx', 'instruments/meter/main.ts', '--port', String(meterPort)], {
  cwd: root,
  stdio: ['ignore', 'inherit', 'inherit'],
})
const printerPort = await standInPort(process.env.PRINTER_PORT, 8631)
const printer = spawn(
  process.execPath,
  ['--import', 'tsx', 'instruments/printer/main.ts', '--port', String(printerPort), '--folder', join(dataFolder, 'printed')],
  { cwd: root, stdio: ['ignore', 'inherit', 'inherit'] },
)
process.on('exit', () => {
  meter.kill()
  printer.kill()
})
const child = serve(dataFolder, { port, host, stdio: ['ignore', 'ignore', 'inherit'] })
endTogether(child)
const address = `http://${host}:${port}`
await answering(child, address)
await pointToStandIns().catch(error => console.error(`The stand-ins of meter and printer could not be set in Settings: ${error.message}`))
console.log(`\nJolly Bench: ${address}\n`)
for (const { name, signInName, password, role } of JSON.parse(readFileSync(signIns, 'utf8')))
  console.log(`  ${role.padEnd(12)} ${signInName.padEnd(8)} ${password}   ${name}`)
console.log(`\nData: ${dataFolder}\nStop with Ctrl+C.`)

/** The data was filled with the ports of that day; a meter or a printer that somebody has set since is let be. */
async function pointToStandIns() {
  const coordinator = JSON.parse(readFileSync(signIns, 'utf8')).find(p => p.role === 'coordinator')
  const signedIn = await fetch(`${address}/api/session`, json({ signInName: coordinator.signInName, password: coordinator.password }))
  // Whoever has changed the password sets them in Settings.
  if (!signedIn.ok) return
  const cookie = signedIn.headers
    .getSetCookie()
    .map(c => c.split(';')[0])
    .join('; ')
  const ask = async path => await (await fetch(`${address}/api/${path}`, { headers: { cookie } })).json()
  const { practice } = await ask('settings')
  if (practice.meterHost === '127.0.0.1' && practice.meterPort !== meterPort)
    await sent('set-meter', { version: practice.version, host: '127.0.0.1', port: meterPort })
  const { uri, version } = await ask('printer')
  const ours = `ipp://127.0.0.1:${printerPort}/ipp/print`
  if (/^ipp:\/\/127\.0\.0\.1:\d+\/ipp\/print$/.test(uri) && uri !== ours) await sent('set-printer', { version, uri: ours })
  await fetch(`${address}/api/session`, { method: 'DELETE', headers: { cookie } })

  function json(body, headers = {}) {
    return { method: 'POST', body: JSON.stringify(body), headers: { 'content-type': 'application/json', ...headers } }
  }
  async function sent(command, body) {
    const answer = await fetch(`${address}/api/collection/${command}`, json(body, { cookie }))
    if (!answer.ok) throw new Error(`${command} was answered with ${answer.status}.`)
  }
}
