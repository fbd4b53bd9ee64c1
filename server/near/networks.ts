import { lookup } from 'node:dns/promises'
import { BlockList, type LookupFunction, isIP } from 'node:net'

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
 * The address that a host stands for. Instruments and printers lie in the house: nobody sends this program to knock at doors elsewhere.
 * @param anywhere doors elsewhere are meant, by whoever set this program up
 * @returns nothing where there is none, or none that lies near
 */
export async function addressNear(host: string, anywhere: boolean): Promise<{ address: string; family: number } | undefined> {
  const found = await lookup(host, { all: true }).catch(() => [])
  return anywhere ? found[0] : found.find(({ address }) => isNear(address))
}

/** The same for whoever opens the connection by name, so that the address asked about is the address connected to. */
export const lookupNear =
  (anywhere: boolean): LookupFunction =>
  (host, options, done) =>
    void addressNear(host, anywhere).then(found => {
      if (!found) done(Object.assign(new Error(`${host} is no address in this house.`), { code: 'ENOTNEAR' }), '', 0)
      else if (options.all) done(null, [found])
      else done(null, found.address, found.family)
    })
