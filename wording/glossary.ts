/**
 * The words of the interface that mean something of their own here, each in plain words: shown where they stand on a screen,
 * and written into docs/glossary.md.
 */
export const glossary = {
  balance: 'What the kit weighs against the hours that it spares, both sides on one scale.',
  'bare-handed': 'With nothing carried: what would be lost if you rode off without any tool or spare.',
  bench: 'Everything you could take along. What lies there is weighed; it is packed only if it earns its weight.',
  beam: 'One thing, drawn as a scale: its weight to the left, the hours it spares to the right. The longer side is the heavier.',
  'big wrench': 'A wrench of 24 mm or more, or a vice: too heavy to carry, and often found in a village.',
  borrowed: 'Turned with a tool that a place on the road lends you. Until then you limp or walk.',
  'chance of being stranded':
    'How likely it is that something stops the bike, cannot be mended, and costs three hours or more to get away from.',
  claims:
    'All that speaks for a thing and against it: what it answers, where, how often, and what would be lost without it.',
  dial: 'What an hour lost is worth to you in weight. Turn it up, and more is carried.',
  'drawn trips': 'The ride, played many times with dice: what breaks, what is used up, what is missing in the end.',
  fastener: 'Anything that is turned: a bolt, a nut, an axle, a valve core, a lock ring.',
  gap: 'A stretch of road with no place on it that has a kind of part. What can be had every 60 km need not be carried.',
  'fair share':
    'What each would carry of the kit if the load were shared as all wish: alike, unless somebody wished otherwise.',
  'hours to help': 'How long you would walk, pushing the bike, to the nearest place where it can be mended or left.',
  kit: 'What comes along of all that lies on the bench.',
  'left to luck': 'What can go wrong and nothing in the kit answers.',
  'left undone':
    'Not done before the ride, and known not to be: what it would have spared is lost, and the promise has it.',
  limp: 'Riding on slowly, on what is left.',
  'on foot': 'Hours walked beside the bike, in the mean of all trips. Most trips have none; a few have many.',
  parcel: 'Parts that you send to a post office on the way, to be called for.',
  passport: 'What a bike is made of, as far as repairs hang on it: sizes, standards, fasteners, wear.',
  pin: 'Your own word over that of the balance: so many of a thing come along, or none.',
  'planning value':
    'A number that nobody has measured for you: a rate, a life, a chance. Each is shown, and can be changed.',
  proof: 'A calculation by another way that shows how much better any kit could be at most.',
  shed: 'What you own, whatever trips it goes on. Benches are laid from there first.',
  'short of the best': 'How far this kit can be from the best one there is, in hours spared.',
  stretch: 'A part of the road with one surface, and with thorns, water, signal and company alike.',
  trust: 'How you know of a place. What is hearsay counts for less than what was asked there.',
  uncovered: 'A fastener that nothing on the bench turns.',
  verdict: 'Take so many, or leave it at home, and what is lost otherwise.',
  'way out': 'How the ride can be left at a stop: by train, bus, ferry or lift.',
} as const satisfies Readonly<Record<string, string>>

/** A word that is explained. */
export type Term = keyof typeof glossary
