import type { HazardKind } from './hazards'

/**
 * Everyday words for dangers, by the hazard that they speak of. A phrase is looked for within one clause. Common practice, no source.
 */
export interface Phrase {
  kind: HazardKind
  words: RegExp
  /** What in the same clause makes it something else. */
  unless?: RegExp
  /** The phrase holds its own *not*: a fan that does not turn. */
  ownNot?: true
}

/** Two groups of words within a few words of each other, in either order. */
const near = (one: string, other: string, letters = 40) =>
  new RegExp(`\\b(?:${one})\\b.{0,${letters}}\\b(?:${other})|\\b(?:${other}).{0,${letters}}\\b(?:${one})\\b`, 'i')

const fans = 'fans?|blowers?|ventilators?'
const capacitors =
  'caps?|capacitors?|condensers?|electrolytics?|electros?|elcos?|tantalums?|tants?|cans?|c\\d{1,4}|(?:line |mains |paper |amber )?filter (?:one|type)s?|x2?|y2?'
const cells = 'batter(?:y|ies)|batts?|cells?|barrels?|accumulators?|nicads?|ni-?cds?|battery packs?|packs?'
const leads = '(?:mains|power)? ?(?:leads?|cords?|flex|cables?|plugs?)'
/** Designators of parts (IEEE 315, from memory) beside their names. */
const parts =
  'traces?|tracks?|resistors?|diodes?|transistors?|chips?|sockets?|boards?|pcbs?|parts?|components?|coils?|relays?|ics?\\d*|[cdlqrtu]\\d{1,4}|connectors?|pins?|pads?|windings?|rectifiers?|bridge|regulators?|inductors?|fly ?back|area|spot'
const things =
  'screws?|m[2-6]|nuts?|bolts?|washers?|rivets?|paper ?clips?|staples?|coins?|needles?|pins?|springs?|clips?|solder|blobs?|clippings?|offcuts?|standoffs?|(?:bit|piece|strand|sliver)s? of (?:metal|wire|foil)|metal|foreign (?:body|object)'
const wires = 'wires?|leads?|cables?|cores?|conductors?'
const otherLeads =
  /\b(ribbon|data|keyboard|video|monitor|serial|printer|signal|aerial|network|joystick|tape|cassette|drive|mouse|ear)s? ?(lead|cable|cord|plug)s?\b/i
/** Smells that are nobody's danger. */
const harmless =
  /\b(smell|smells|smelt|smelled|smelling|odour|stinks?|reeks?) (faintly |only |just )?(of|like) (lavender|soap|polish|perfume|must|dust|cigarettes?|tobacco|cats?|dogs?|loft|attic|cellar|church|new|old books?|wood)/i

export const phrases: readonly Phrase[] = [
  {
    kind: 'smoke',
    words:
      /\bsmok(e|ed|es|ing|y)\b|\bfumes?\b|\bfuming\b|\bflames?\b|\b(on|caught|catch|set .{0,30}) (on )?fire\b|\bup in a? ?(puff|flames)\b|\bpuff(s|ed)?( of)?\b|\bpoof\b|\bpf+t\b|\bphut\b|\bwisps?\b|\bhaz(e|y)\b|\bablaze\b|\bburst into\b/i,
    unless:
      /\b(cells?|batter(y|ies)|caps?|capacitors?|cans?)\b.{0,20}\bpuff|\bsmoke[- ](grey|gray|test|coloured|tint|film|damage from)|\bsmoked (glass|plastic|perspex)|\b(no|non)[- ]smok(er|ing)|\bfires? up\b|\bsolder(ing)? fumes?\b/i,
  },
  {
    kind: 'smoke',
    words:
      /\bsmel(l|ls|t|led|ly|ling)\b|\bstinks?\b|\bstank\b|\bstench\b|\bodou?r\b|\bwhiff\b|\breek(s|ed|ing)?\b|\bsmell?ing\b|\bstinks?\b|\bstinking\b|\b(burning|burnt|hot) (plastic|varnish|rubber|dust|electronics|insulation)\b/i,
    unless: harmless,
  },
  {
    kind: 'smoke',
    words:
      /\bbangs?\b|\bbanged\b|\bpops?\b|\bpopped\b|\bexplo(de|ded|sion)\b|\bblew up\b|\bsparks?\b|\bspark(ed|ing)\b|\barc(ed|ing|s)\b|\bsizzl\w*|\bfizz\w*|\bcrackl\w*|\b(loud|sharp|sudden) (crack|snap|report)\b|\bcrack(ed)? like\b|\bwent (pop|bang|off like)\b|\blet go\b/i,
    unless:
      /\bpop(ped|s)? (out|off|in|round|over|up|open|it|back|along)\b|\bpop music\b|\b(speaker|volume|sound chip|headphone|loudspeaker)\b|\bspark(ling)? clean\b|\bbang on\b/i,
  },
  {
    kind: 'smoke',
    words: /\bflash(es|ed)?\b|\bglow(s|ed|ing)?\b/i,
    unless:
      /\bflash(es|ed|ing)? (cursor|lamp|light|led|rom|memory|rust|drive|chip|card)|\b(cursor|lamp|light|led|screen|character|prompt)s?\b.{0,20}\b(flash|glow)|\b(heater|filament|valve|tube|dial|pilot)s?\b.{0,20}\bglow|\bcamera flash\b/i,
  },
  {
    kind: 'mains-wiring',
    words:
      /\bshocks?\b|\bshocked\b|\belectrocut\w*|\btingl\w*|\bprickl\w*|\bzap(s|ped)?\b|\bbuzz(es|ed)?\b.{0,20}\b(touch|finger|hand|arm)\w*|\b(got|gave|gives|get|had) .{0,20}\b(belt|jolt|zap)\b|\b(live|energi[sz]ed) (case|chassis|metal|screw)|\b(case|chassis|metalwork) (is|was|felt|feels) live\b/i,
    unless: /\bshock (mount|absorb|proof|resist|cushion)|\bculture shock\b/i,
  },
  {
    kind: 'mains-wiring',
    words: near(
      'breakers?|rcds?|rcbos?|gfcis?|mcbs?|earth leakage(?: switch)?|residual current|trip ?switch|fuse ?(?:box|board)|main switch|main fuse|house fuse|ring main|electrics|lights|whole (?:house|shed|building)',
      'trip\\w*|went|go\\b|goes|blew|took|knock\\w*|out\\b|off\\b|drop\\w*|not hold|n.t hold|refus\\w*',
      35,
    ),
    ownNot: true,
  },
  { kind: 'mains-wiring', words: /\btrip(s|ped|ping)? (the|a|our|my|everything|out)\b/i, unless: /\btripped (over|on|up)\b/i },
  {
    kind: 'mains-wiring',
    words: near(
      leads,
      'cut\\b|chew\\w*|gnaw\\w*|fray\\w*|split|bare\\b|damag\\w*|crack\\w*|crumbl\\w*|taped?\\b|nick(?:ed|s)?\\b|worn|bitten|pinched|squashed|kinked|mice|mouse|rats?|rodents?|dog|perish\\w*|brittle|melt\\w*|burn\\w*|brown\\b|scorch\\w*|black(?:ened)?\\b|warm\\b|hot\\b|exposed|join(?:ed|t)?\\b|chocolate block|spliced|knot\\w*',
    ),
    unless: new RegExp(`${otherLeads.source}|\\b(cable|lead) (tray|clip|tie)|\\bpainted\\b`, 'i'),
  },
  { kind: 'mains-wiring', words: /\bbare (copper|wires?|conductors?|metal at the plug)\b.{0,60}\b(flex|mains|plug|lead|cord|switch|inlet)\b/i },
  {
    kind: 'mains-wiring',
    words:
      /\bearth(ing)? ?(wire|lead|pin|strap|connection|tag)?\b.{0,30}\b(not|off|missing|loose|broken|cut|disconnected|nowhere)\b|\b(no|missing|lost|cut|without) (its |an |the )?earth\b/i,
    ownNot: true,
  },
  {
    kind: 'mains-wiring',
    words:
      /\b(live|phase|neutral|line)\b.{0,30}\b(swapped|reversed|crossed|mixed up|exchanged|loose|touch\w*)|\b(ground|earth|live|mains) (pin|prong|blade)s?\b.{0,25}\b(broken|missing|bent|cut|snapped|off|sawn)/i,
  },
  { kind: 'mains-wiring', words: /\bstrain relief\b.{0,40}\b(out|gone|loose|broken|missing|pulls?|pulled|cracked)/i },
  { kind: 'shorted-rail', words: near('fuses?', 'blew|blows?|blown|pop(?:s|ped)?|goes|gone|went|lasted|eats?', 30), unless: /\bfuse (box|board)\b/i },
  {
    kind: 'shorted-rail',
    words:
      /\b(rail|[+-−]?\d+ ?v|vcc|vdd)\b.{0,30}\b(0([.,]\d+)?|zero|no|next to no) ?(ohms?|Ω|resistance)|\b0[.,]\d+ ?(ohms?|Ω).{0,20}\b(ground|gnd|earth)\b|\bbeeps? (to|against) (ground|earth)\b/i,
    ownNot: true,
  },
  { kind: 'shorted-rail', words: /\bdead short\b|\bshort(ed|s)? (to|between|across|out)\b|\bshort[- ]circuit\w*|\brail\b.{0,20}\bshort(ed)?\b/i },
  {
    kind: 'battery',
    words: near(
      cells,
      'leak\\w*|wept|weep\\w*|ooz\\w*|burst|crust\\w*|furr?(?:y|ed)?\\b|acid|alkali\\w*|corro\\w*|swoll\\w*|swell\\w*|bulg\\w*|split|green|blue|vent(?:ed|ing)|crystals?|verdigris|guts|rotten|eaten|left in|spilt|spilled|sick|puff\\w*|stuff|mess\\b|residue|gunk|juice|goo\\b|snot|fluid|damage|burn\\w*|hot\\b|hiss\\w*',
      50,
    ),
    unless:
      /\bbatter(y|ies) (is|was|has been|taken|came|removed|went)?.{0,12}\b(out|removed|taken out),? .{0,20}\b(clean|fine|dry)|\b(memory|key|dry|store) cells?\b|\bcell ?phone|\bcorrosion[- ]free\b/i,
  },
  {
    kind: 'bulging-capacitors',
    words: near(
      capacitors,
      'pop(?:ped|s)?|burst|bulg\\w*|dom(?:ed|ing)|swoll\\w*|swell\\w*|leak\\w*|vent(?:ed|ing)|split|crack\\w*|explod\\w*|blown|ooz\\w*|goo\\b|puff(?:ed|y)|weep\\w*|wept|bung|popped top|top (?:up|lifted)|spew\\w*|electrolyte|fat\\b|fatter|lifted',
      60,
    ),
    unless: /\bcaps? lock|\bkey ?caps?\b|\bwatering can\b/i,
  },
  { kind: 'bulging-capacitors', words: /\belectrolyte\b|\bblown its (bung|plug|top|vent)\b|\bpot-?bellied\b/i },
  {
    kind: 'liquid',
    words:
      /\bwater\b|\bflood(ed|s|ing|water)?\b|\bsea ?(water|spray)\b|\bthe sea\b|\btide ?(marks?|lines?)\b|\btide (came|got|reached|went)\b|\bcoffee\b|\btea\b|\bbeer\b|\bwine\b|\bjuice\b|\blemonade\b|\bcola\b|\bsoda\b|\bmilk\b|\bsoup\b|\burine\b|\bpee(d)?\b|\bpiss(ed)?\b|\bpuddles?\b|\b(over-?)?watered\b|\bsnow(ed)?\b|\bmud(dy)?\b|\bbeverage\b|\bdrinks?\b|\bsprinklers?\b|\bburst pipe\b|\bunder water\b|\bsalt ?water\b|\bbilge\b|\bmoist(ure)?\b|\brain(ed|s|water)?\b|\bwet\b|\bdamp\b|\bsoak(ed|ing)?\b|\bspill(ed|s|age)?\b|\bspilt\b|\bdrown(ed)?\b|\bsubmerged\b|\bmoisture\b|\bmoist\b|\bcondensation\b|\bdrips?\b|\bdripp(ed|ing)\b|\bhosed\b|\brinsed\b|\bliquid\b|\bleak(ed|s|ing)? (onto|on to|into|in on|through)\b/i,
    unless:
      /\bwater[- ]?(slide|proof|tight|mark|colou?r|cool)|\btea[- ]?(break|towel|time|cosy)|\bcoffee[- ]?(break|machine|coloured|brown)|\bdamp (cloth|weather|air|proof)|\bbaking soda|\bsoda crystals|\bwet (wash|cloth|wipe|sponge)|\b(clean|wash|rins|wip)\w*\b.{0,60}\bdried\b|\b(stain|ring|mark|spot)s? on the (manual|box|carton|label|leaflet|booklet)|\bwaterline painted|\bnegative\b|\bsea[- ]?(worthy|green|blue)\b|\bmilk[- ](white|crate)|\b(tell|tells|told) the sea\b|\bby the sea\b/i,
  },
  {
    kind: 'conductive-dirt',
    words:
      /\bsoot(y)?\b|\bchimney\b|\bswarf\b|\b(metal|iron|steel|brass|copper) (shavings|turnings|chips|splinters)\b|\bcoal dust\b|\bfilings\b|\b(metal|carbon|iron|graphite|brake|grinding) (dust|powder|particles)|\bworkshop dust\b|\bworkshop\b.{0,30}\b(over|beside|next|grind|lathe|dust)|\btoner\b.{0,20}\b(over|inside|every)/i,
  },
  {
    kind: 'loose-metal',
    words: near(
      things,
      'loose\\b|rattl\\w*|roll(?:s|ing|ed)|fell|fallen|dropped|lost in|lost (?:inside|somewhere)|inside it|missing inside|maybe inside|not found|jammed|stuck between|bridg\\w*|wedged|lodged|across',
      45,
    ),
    unless:
      /\b(screw|nut|bolt|clip)s? (for|of) the|\bloose (screw|fitting|lid|feet|foot) (bag|box|jar)|\bkey ?(caps?|springs?)\b|\bspring(s)? (are|is) (tired|weak)|\bworked loose and (was|were) tightened/i,
  },
  {
    kind: 'loose-metal',
    words:
      /\bsomething (is )?(loose|rattl\w*|rolling|moving|metallic)\b|\bclink(s|ing|ed)?\b|\bjingl(es|ing|ed)\b|\bmetallic (rattle|noise when)\b|\bloose (object|item|bit|part|piece)s?\b.{0,15}\b(in|inside|under)\b|\brattles? (inside|when|about|around|if|as)\b/i,
    unless: /\b(key(s|board)?|space bar|lid|door|flap)\b/i,
  },
  {
    kind: 'missing-fan',
    words: new RegExp(
      `\\b(?:${fans})\\b.{0,30}\\b(?:unplugged|not (?:turn|run|spin|work|start|move|there|connected|plugged|power|come)\\w*|n.t (?:turn|run|spin|work|start|move|come)\\w*|never (?:turns|starts)|stops\\b|fails?\\b|failed|still\\b|slow\\w*|dead|stuck|seized|missing|removed|gone|stopped|out\\b|off\\b|disconnected|blocked|clogged|broken|jammed|stalled|silent|nowhere|only when pushed|needs a push|by hand)|\\b(?:without|took|taken|takes|removed|missing|unplugged|has no|had no|lost)\\b.{0,15}\\b(?:${fans})\\b`,
      'i',
    ),
    unless: /\bby design\b|\bnever had (a|any) fan|\bwas made without\b|\bfan (was )?(replaced|freed|refitted)\b/i,
    ownNot: true,
  },
  {
    kind: 'heat',
    words:
      /\b(too|very|so|red|really|awfully|extremely|burning|scalding|unbearably|quite|super|damn|uncomfortably) (hot|warm)\b|\bhot (to|enough|spots?|after|as|within|at once|chip|regulator|transformer|smell)\b|\b(gets?|got|runs?|ran|went|goes|becomes?|became|is|was|feels?|felt|stone|piping) (\w+ )?hot\b|\boverheat\w*|\bscorching\b|\bscald\w*|\bburn(t|ed|s)? (my|his|her|a|your|somebody.s) (finger|hand|thumb|arm)s?\b|\bfry an egg\b|\bcooks itself\b|\bglowing hot\b|\b(boiling|roasting|sizzling|piping)\b|\b(not|n.t|hardly|cannot) (\w+ )?(hold|keep|touch|bear)\b.{0,25}\b(finger|hand|thumb|it|on)\b|\b([789]\d|1\d\d) ?(°|deg(ree)?s?\b|celsius|c\b)/i,
    ownNot: true,
    unless: /\bhot[- ](air|glue|swap|key|box|bar|melt|water|line|plug|spare|weather|day)/i,
  },
  {
    kind: 'burnt-trace',
    words: near(
      parts,
      'burn(?:t|ed)\\b|burns\\b|charred|scorch(?:ed|es)|melted|blackened|brown\\b|discolou?red|blown\\b|fried|cooked|singed|black mark|halo|evaporated|vapou?ri[sz]ed|blown (?:off|apart)|carboni[sz]ed|toast(?:ed)?|crisp|hole|browned|crater\\w*|gone black|went black|burnt away',
      35,
    ),
    unless: /\bburn(t|ed)?[- ]in\b|\bburnt? (my|his|her|a) (finger|hand|thumb)|\bpins? (are|is) brown by/i,
  },
  { kind: 'burnt-trace', words: /\b(scorch|burn|char|black) ?marks?\b|\bcharred\b/i },
  {
    kind: 'old-insulation',
    words: near(
      `insulation|sleeves?|sleeving|jackets?|sheath(?:s|ing)?|rubber on the (?:${wires})|cloth cover\\w*`,
      'powder|dust|bare\\b|naked|crumbl\\w*|crack\\w*|stick\\w*|brittle|perish\\w*|gone|flak\\w*|peel\\w*|falls|fray\\w*|comes off|worn|hard\\b',
      50,
    ),
  },
  { kind: 'old-insulation', words: near(wires, 'crumbl\\w*|perished|brittle insulation', 30), unless: otherLeads },
  {
    kind: 'unknown-wiring',
    words:
      /\b(wires?|leads?|cores?)\b.{0,25}\b(nowhere|who knows|unknown|mystery|not sure where|hang(s|ing)?|dangl\w*|unconnected|not connected|disconnected|snipped|cut off|cut and)\b|\b(cut|snipped|clipped)\b.{0,20}\b(wires?|leads?|cores?)\b|\bbodge[ds]?\b/i,
    unless: new RegExp(`${otherLeads.source}|\\b(mains|power) (lead|cord|cable)|\\bleads? (were |was )?cut to length`, 'i'),
    ownNot: true,
  },
  {
    kind: 'unknown-supply',
    words:
      /\b(wrong|another|different|somebody else.s|reversed?|incorrect)\b.{0,25}\b(supply|power|brick|adapt[eo]r|voltage|polarity|psu|charger|transformer)\b|\b(supply|psu|adapt[eo]r|brick|transformer|charger)\b.{0,50}\b(wrong|for something else|of something else|another machine|does not belong|unknown|not its own|home-?made)\b/i,
    unless: /\bnothing (is )?wrong\b/i,
    ownNot: true,
  },
  {
    kind: 'unknown-supply',
    words:
      /\bpolarity\b.{0,25}\b(swapped|reversed|wrong|crossed|inverted|unknown|not known)|\b(laptop|phone|model railway|car|toy|some) (supply|adapt[eo]r|charger|brick|transformer)\b|\b(ran|run|used|powered|fed)\b.{0,20}\b\d+ ?v\b.{0,25}\b(instead|adapt[eo]r|supply|brick|charger)/i,
    unless: /\bbench supply\b/i,
  },
  {
    kind: 'unknown-supply',
    words: /\b(ac|a\.c\.) (instead of|for) (dc|d\.c\.)|\b(dc|d\.c\.) (instead of|for) (ac|a\.c\.)|\bconnected (backwards|the wrong way)\b/i,
  },
  {
    kind: 'unknown-supply',
    words:
      /\b(power|supply|connectors?|plug|board)\b.{0,50}\b(wrong way (round|about)?|back to front|backwards|upside down)\b|\b2[234]0 ?v\w*\b.{0,50}\b1[012]\d\b|\b1[012]\d ?v\w*\b.{0,50}\b2[234]0\b/i,
  },
  { kind: 'mould', words: /\bmou?ld(y)?\b|\bmildew\b|\bfung(us|al)\b|\bwhite fur\b/i, unless: /\bmould(ed|ing)s?\b/i },
  {
    kind: 'sharp',
    words: near('glass|picture tube|crt|tube|screen|faceplate|window', 'snapped|implod\\w*|crack\\w*|broken|smash\\w*|shatter\\w*|splinter\\w*', 30),
  },
]
