import { wordRule, type WordRule } from '../wordRule.ts'

/** Every rule that only looks for words, in English and in Spanish: its id, level, family, the words, and where alone they matter. */
export const wordRules: readonly WordRule[] = [
  // A throw as high as possible, indoors.
  wordRule(
    'height',
    'look',
    'home',
    /\b(?:(?:throw|toss|hit|pat|kick|punt)\b.{0,24}\b(?:as high as|up to the ceiling|to the ceiling|above the (?:lamp|door))|lanz(?:a|ar)\b.{0,20}\b(?:lo m[aá]s alto|hasta el techo))/i,
    (_, { session }) => !session.home.outdoors,
  ),
  // A run that ends at a wall, a door or a fence.
  wordRule(
    'sprint-to-wall',
    'look',
    'home',
    /\b(?:(?:run|sprint|race|dash)(?:s|ning)?\b.{0,20}\b(?:to|into|at|and touch|touch)\b.{0,8}\b(?:wall|door|fence)|(?:corre|correr)\b.{0,16}\bhasta la (?:pared|puerta|valla))\b/i,
  ),
  // A bottle of glass, or one that held what harms.
  wordRule(
    'harmful-bottle',
    'stop',
    'home',
    /\b(?:glass bottles?|(?:bleach|detergent|cleaner|cleaning|washing[- ]up|paint|fuel) bottles?|bottles? of (?:bleach|detergent|cleaner|cleaning fluid|washing[- ]up liquid|paint|fuel)|botellas? de (?:vidrio|cristal|lej[ií]a|detergente|pintura))\b/i,
  ),
  // A jump on or off stairs or furniture.
  wordRule(
    'stairs-jump',
    'stop',
    'home',
    /\b(?:(?:jump|hop|leap)(?:s|ing)?\b.{0,18}\b(?:off|down from|onto|down|up)\b.{0,10}\b(?:the )?(?:stairs?|staircase|steps|bottom step|second step|sofa|couch|bed|table|chair|wall)|salt(?:a|ar)\b.{0,18}\b(?:desde|de|a)\b.{0,8}\b(?:escalera|sof[aá]|cama|mesa|silla))\b/i,
  ),
  // A support that rolls, turns or folds.
  wordRule(
    'rolling-support',
    'stop',
    'home',
    /\b(?:(?:office|desk|swivel|rolling|wheeled|folding|camping|deck)[- ]chairs?|chairs? (?:with|on) (?:wheels|castors)|sillas? (?:de oficina|con ruedas|plegables?|giratorias?))\b/i,
  ),
  // Something in the mouth while moving.
  wordRule(
    'in-the-mouth',
    'stop',
    'home',
    /\b(?:(?:spoon|sock|straw|sweet|gum|whistle|pencil|it)\b.{0,16}\b(?:in|between) (?:your|the|their) (?:mouth|teeth|lips)|chewing gum|(?:cuchara|chicle|l[aá]piz)\b.{0,16}\b(?:en la boca|entre los dientes))\b/i,
  ),
  // A band, rope or scarf tied to a child or to what can give way.
  wordRule(
    'round-the-neck',
    'stop',
    'home',
    /\b(?:(?:tie|tied|tying|knot|loop|fasten|wrap)(?:s|ed)?\b.{0,36}\b(?:neck|wrists?|ankles together|door|handle|furniture|table leg|chair leg|radiator)|(?:band|rope|scarf|tights|string)\b.{0,12}\b(?:a?round|about) (?:your|the|their) neck|at(?:a|ar|ada)\b.{0,24}\b(?:cuello|mu[ñn]ecas?|puerta|mueble))\b/i,
  ),
  // A blindfold.
  wordRule('blindfold', 'stop', 'home', /\b(?:blind-?fold(?:s|ed)?|vend(?:a|ar|ados)\b.{0,8}\bojos|ojos vendados)\b/i),
  // Heading a ball: no primary session has it.
  wordRule(
    'heading',
    'stop',
    'care',
    /\b(?:head(?:s|ing)? (?:the|a|your) (?:soft )?ball|headers?|with your forehead|remat(?:a|ar) de cabeza|cabece(?:a|ar))\b/i,
  ),
  // More than three turns on end.
  wordRule(
    'spinning',
    'look',
    'care',
    /\b(?:(?:spin|twirl|whirl|turn round)\b.{0,20}\b(?:four|five|six|seven|eight|nine|ten|[4-9]|\d{2,}) times|(?:spin|twirl|whirl)\b.{0,24}\bdizzy|gir(?:a|ar)\b.{0,20}\b(?:hasta marear|[4-9] veces))/i,
  ),
  // A row with the elbows above the shoulders.
  wordRule(
    'high-elbows',
    'look',
    'care',
    /\belbows?\b.{0,16}\b(?:above|over|higher than) (?:the|your) shoulders?\b|\bcodos?\b.{0,16}\bpor encima de los hombros\b/i,
  ),
  // Full circles of the neck.
  wordRule(
    'neck-circles',
    'note',
    'care',
    /\b(?:(?:neck|head) (?:circles?|rolls?|rolling)|roll your (?:head|neck)|circle your (?:head|neck)|c[ií]rculos (?:con|de) (?:la cabeza|el cuello|cuello))\b/i,
  ),
  // Walking in a deep squat.
  wordRule(
    'deep-walking-squats',
    'note',
    'care',
    /\b(?:duck[- ]walk(?:s|ing)?|walk(?:ing)?\b.{0,10}\bin a (?:deep )?squat|caminar? de pato|paso de pato)\b/i,
  ),
  // Sit-ups with the feet held.
  wordRule(
    'held-feet-sit-ups',
    'note',
    'care',
    /\b(?:sit-?ups?|crunch(?:es)?|curl-?ups?|abdominales)\b.{0,60}\b(?:hold(?:s|ing)?|held|anchor(?:ed)?|hook(?:ed)?|under the (?:sofa|couch|bed)|sujet(?:a|os))\b|\bhold(?:s|ing)? (?:the|your|their) (?:feet|ankles)\b.{0,40}\bsit-?ups?\b/i,
  ),
  // Closed eyes while moving or standing; at rest they are fine.
  wordRule(
    'eyes-closed',
    'look',
    'care',
    /\b(?:(?:close|closing|shut)\b.{0,14}\beyes|eyes (?:are )?(?:closed|shut)|ojos cerrados|cierr(?:a|en) los ojos)\b/i,
    ({ where }, { session, cells }) => {
      const cell = cells.find((c) => c.station.id === where.station)
      if (cell) return !['breathe', 'stretch'].includes(cell.move.family)
      const section = session.sections.find((s) => s.id === where.section)
      return section !== undefined && section.role !== 'coolDown'
    },
  ),
  // Jumping or running in socks.
  wordRule(
    'socks-jump',
    'look',
    'care',
    /\b(?:in|wearing|with) (?:your |thick |just )?socks\b.{0,30}\b(?:jump|hop|run|skip|slide)|\b(?:jump|hop|run|skip|slide)(?:s|ing)?\b.{0,24}\b(?:in|wearing) (?:your |thick )?socks\b|\b(?:salt|corr)\w+\b.{0,20}\ben calcetines\b/i,
  ),
  // A breath that is held.
  wordRule(
    'breath-held',
    'look',
    'care',
    /\b(?:hold(?:s|ing)? (?:your|the|their) breath|aguant(?:a|ar|en) (?:la respiraci[oó]n|el aire))\b/i,
  ),
  // A stretch that bounces.
  wordRule(
    'bounced-stretch',
    'look',
    'care',
    /\bbounc(?:e|es|ing|y)\b.{0,30}\bstretch|\bstretch(?:es|ing)?\b.{0,30}\bbounc|\brebot\w+\b.{0,24}\bestir/i,
  ),
  // Burpees with the chest to the floor, below grade 3.
  wordRule(
    'floor-burpee',
    'note',
    'care',
    /\bburpees?\b.{0,40}\bchest\b.{0,12}\bfloor\b|\bchest\b.{0,12}\bfloor\b.{0,40}\bburpees?\b/i,
    (_, { lanes }) => lanes.some(({ grade }) => grade < 3),
  ),
  // The pulse felt at the neck.
  wordRule(
    'neck-pulse',
    'note',
    'care',
    /\b(?:pulse|beats?)\b.{0,30}\b(?:at|on|in|side of) (?:the|your) neck\b|\bneck pulse\b|\bpulso\b.{0,24}\bcuello\b/i,
  ),
  // Children who lose or miss must do exercise, or are out.
  wordRule(
    'forfeits',
    'look',
    'care',
    /\b(?:losers?|who(?:ever)? (?:loses|misses|drops|is last|is caught)|if you (?:lose|miss|drop)|the last one|for (?:every|each) (?:miss|drop)|quien (?:pierde|falla))\b.{0,40}\b(?:do|does|must|has to|have to|run|runs|jumps?|push-?ups?|burpees?|squats?|laps?|hace|debe)\b|\b(?:you are|you[’']re|they are|is|are) out(?:$|[.,!;])|\bqueda eliminad[oa]\b/i,
  ),
  // Talk about bodies, weight and calories has no place with children.
  wordRule(
    'body-talk',
    'look',
    'words',
    /\b(?:calories?|calor[ií]as?|kilojoules?|weight loss|los(?:e|ing) (?:some )?weight|burn(?:s|ing)? (?:off )?(?:fat|calories|the cake)|get(?:ting)? (?:slim|skinny|fat|thin)|flat (?:tummy|stomach|belly)|(?:bikini|summer|beach) body|six[- ]packs?|on a diet|no pain,? no gain|adelgazar|bajar de peso|quemar grasa|sin dolor no hay)\b/i,
  ),
  // Exercise by the name of a punishment.
  wordRule(
    'punishment-words',
    'look',
    'words',
    /\b(?:suicides?|punish(?:ment|ed|es)?|as a penalty|penalty (?:laps?|reps?|burpees?|push-?ups?)|torture|boot ?camp hell|hell week|castigo|castigad[oa]s?|penitencia)\b/i,
  ),
  // Asks for a video or picture of a child.
  wordRule(
    'filmed',
    'look',
    'words',
    /\b(?:(?:send|e-?mail|post|share|upload|text)\b.{0,24}\b(?:videos?|photos?|pictures?|films?|clips?|selfies?)|(?:film|video|photograph|record a video of)\b.{0,12}\b(?:yourself|yourselves|your child|him|her|them|each other)|env[ií]a(?:me|nos|r)?\b.{0,20}\b(?:fotos?|v[ií]deos?)|gr[aá]ba(?:te|lo|la|rte))\b/i,
  ),
]
