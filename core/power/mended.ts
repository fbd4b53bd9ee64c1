/**
 * Whether work on a machine touched what feeds its rails: then what was read before says nothing of what they carry since. Told by the words of the
 * work and of the part; common practice, no source.
 */
export const touchesSupply = (...words: readonly string[]): boolean => words.some(text => supplyWords.test(text))

const supplyWords =
  /\b(regulators?|7[89][LM]?\d\d|lm3[13]7|rectifiers?|bridge|transformers?|supply|supplies|psu|power (supply|board|pack|unit|connector)|reservoir|smoothing|filter cap\w*|choke|rails?|recapp?(ed|ing)?|electrolytics?|fuse(s|holder)?|mains (switch|lead|inlet))\b/i

/** Work by which somebody changed the machine with their own hands, be it only to try: whoever did does not sign it off. Common practice, no source. */
export const isHandiwork = (did: string): boolean =>
  /\b(re-?)?solder(ed|ing)?\b|\breflow(ed|ing)?\b|\brecapp?(ed|ing)?\b|\b(replaced|exchanged|swapped in|fitted|wired|patched|bridged|lifted|desoldered|rewired|bodged|cut)\b/i.test(
    did,
  )
