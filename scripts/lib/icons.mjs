/** The weights of an icon that the application shows; the package brings six of each. */
const weights = ['regular', 'fill']

/**
 * A plugin of the build that leaves of every icon the weights in use: each of its files chooses among six by its property, and the drawings of those that
 * are never chosen fall away with their branch.
 */
export const lightIcons = {
  name: 'light-icons',
  enforce: 'pre',
  transform(code, id) {
    if (!/@phosphor-icons\/vue\/dist\/icons\/.*\.mjs/.test(id) || !code.includes('"duotone"')) return
    const kept = code.replace(/(\w+)\.value === "(\w+)" \? (\(\w+\(\), \w+\("g", \w+, \w+\)\)) : /g, (branch, _, weight) =>
      weights.includes(weight) ? branch : '',
    )
    if (kept === code) throw new Error(`${id} is built otherwise than it was: its weights were not found.`)
    return { code: kept, map: null }
  },
}
