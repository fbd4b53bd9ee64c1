import { lookup } from 'node:dns/promises'
import { BlockList, isIP } from 'node:net'
import { MeterTrouble } from './scpi-client'

/** Loopback, private and link-local networks: RFC 1122, RFC 1918, RFC 3927, RFC 4193, RFC 4291. */
const near = new BlockList()
for (const [network, prefix] of [
  ['127.0.0.0', 8],
  ['10.0.0.0', 8],
  ['172.16.0.0', 12],
  ['192.168.0.0', 16],
  ['169.254.0.0', 16],
] as const)
  near.addSubnet(network, prefix, 'ipv4')
for (const [network, prefix] of [
  ['::1', 128],
  ['fc00::', 7],
  ['fe80::', 10],
] as const)
  near.addSubnet(network, prefix, 'ipv6')

const isNear = (address: string) => near.check(address, isIP(address) === 6 ? 'ipv6' : 'ipv4')

/**
 * The address that a host stands for. Instruments lie in the house: nobody sends this program to knock at doors elsewhere, unless `METER_ANYWHERE=true`.
 * @throws MeterTrouble `unreachable`
 */
export async function addressOfMeter(host: string, anywhere = process.env.METER_ANYWHERE === 'true'): Promise<string> {
  const found = await lookup(host, { all: true }).catch(() => [])
  const [first] = anywhere ? found : found.filter(({ address }) => isNear(address))
  if (!first) throw new MeterTrouble('unreachable', `There is no meter at ${host}.`)
  return first.address
}
