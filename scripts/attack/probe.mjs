/**
 * Looks at an application from a process of its own while it is attacked, so that a busy attacker does not count as a busy bench:
 * how long `GET /api/health` and a sheet take, and how much memory the server has.
 */
import { readFileSync } from 'node:fs'
import { setPriority } from 'node:os'

try {
  // It stands for somebody at work, not for whoever attacks.
  setPriority(0)
} catch {
  /* as it is, then */
}

const [address, cookie, tag, pid] = process.argv.slice(2)
const healthMs = []
const sheetMs = []
const lost = []
let mostMemoryMb = 0
let going = true

async function timed(path, into, headers = {}) {
  const began = performance.now()
  try {
    const answer = await fetch(address + path, { headers, signal: AbortSignal.timeout(30_000) })
    await answer.arrayBuffer()
    if (!answer.ok) lost.push(`${path}: ${answer.status}`)
  } catch (error) {
    lost.push(`${path}: ${error.message}`)
  }
  into.push(performance.now() - began)
}
async function again(path, into, everyMs, headers) {
  while (going) {
    await timed(path, into, headers)
    await new Promise(next => setTimeout(next, everyMs))
  }
}
const memory = setInterval(() => {
  try {
    const kB = Number(/VmRSS:\s+(\d+)/.exec(readFileSync(`/proc/${pid}/status`, 'utf8'))?.[1] ?? 0)
    mostMemoryMb = Math.max(mostMemoryMb, kB / 1024)
  } catch {
    /* it has just ended */
  }
}, 50)
void again('/api/health', healthMs, 15)
void again(`/api/machines/${tag}`, sheetMs, 250, { cookie })

const at = (row, share) => row.toSorted((a, b) => a - b)[Math.min(row.length - 1, Math.floor(row.length * share))] ?? 0
const warmAfter = 30
const warm = setInterval(() => {
  if (healthMs.length < warmAfter || !sheetMs.length) return
  clearInterval(warm)
  process.send('warm')
}, 20)
process.on('message', said => {
  // What it took to get going itself is nobody else's fault.
  if (said === 'begin') return void [healthMs, sheetMs, lost].forEach(row => row.splice(0))
  going = false
  clearInterval(memory)
  process.send({
    health: { asked: healthMs.length, p50Ms: at(healthMs, 0.5), p99Ms: at(healthMs, 0.99), mostMs: at(healthMs, 1) },
    sheet: { asked: sheetMs.length, p50Ms: at(sheetMs, 0.5), mostMs: at(sheetMs, 1) },
    mostMemoryMb,
    lost,
  })
  process.disconnect()
})
