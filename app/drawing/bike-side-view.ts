import { readTyreSize, type Bike, type BikePart } from '#core/bike'

/** A stroke or a filled shape of the picture, in mm; y grows downwards, as in a drawing. */
export interface Stroke {
  /** As the `d` of an SVG path. */
  readonly path: string
  /** Thickness, mm; 0 for a shape that is filled. */
  readonly widthMm: number
  /** What it is made of, for its colour. */
  readonly material: 'tube' | 'rubber' | 'metal' | 'wire' | 'soft'
}

/** A part of the picture that can be picked. */
export interface DrawnPart {
  readonly part: BikePart
  readonly strokes: readonly Stroke[]
  /** Where it is pointed at, and how large the place to hit is, mm. */
  readonly at: Point
  readonly hitMm: number
}

export interface SideView {
  /** Left, top, width and height of all that is drawn, mm. */
  readonly frame: readonly [number, number, number, number]
  readonly parts: readonly DrawnPart[]
}

export type Point = readonly [number, number]

const add = ([x, y]: Point, [dx, dy]: Point): Point => [x + dx, y + dy]
const times = ([x, y]: Point, by: number): Point => [x * by, y * by]
/** Part of the way from one point to another. */
export const between = (a: Point, b: Point, share: number): Point => [
  a[0] + (b[0] - a[0]) * share,
  a[1] + (b[1] - a[1]) * share,
]
const distance = (a: Point, b: Point) => Math.hypot(a[0] - b[0], a[1] - b[1])
const mm = (value: number) => value.toFixed(1)
const to = ([x, y]: Point) => `${mm(x)} ${mm(y)}`
const line = (...points: Point[]) => `M${points.map(to).join('L')}`
const circle = ([x, y]: Point, r: number) =>
  `M${mm(x - r)} ${mm(y)}a${mm(r)} ${mm(r)} 0 1 0 ${mm(2 * r)} 0a${mm(r)} ${mm(r)} 0 1 0 ${mm(-2 * r)} 0`
/** Part of a circle round a middle, from one angle to another, in degrees clockwise from the front. */
const arc = (middle: Point, r: number, fromDeg: number, toDeg: number) => {
  const at = (deg: number): Point =>
    add(middle, [r * Math.cos((deg * Math.PI) / 180), r * Math.sin((deg * Math.PI) / 180)])
  return `M${to(at(fromDeg))}A${mm(r)} ${mm(r)} 0 ${toDeg - fromDeg > 180 ? 1 : 0} 1 ${to(at(toDeg))}`
}

/** From the axis a fork turns round to the wheel's axle, mm. A usual value. */
const rakeMm = 48
const crankMm = 170
const toothMm = 12.7 / (2 * Math.PI)

/** Where the parts of a bike lie, seen from the right; the rear axle is the origin. */
export function skeleton({ frame, tyres, suspension }: Bike) {
  const radius = (size: string) => {
    const read = readTyreSize(size) ?? { beadMm: 622, widthMm: 45 }
    return { rim: read.beadMm / 2, tyre: read.beadMm / 2 + read.widthMm, width: read.widthMm }
  }
  const [front, rear] = [radius(tyres.front.size), radius(tyres.rear.size)]
  const rearAxle: Point = [0, 0]
  const frontAxle: Point = [frame.wheelbaseMm, rear.tyre - front.tyre]
  const bottomBracket: Point = [Math.sqrt(Math.max(0, frame.chainstayMm ** 2 - frame.dropMm ** 2)), frame.dropMm]
  const head = (frame.headAngleDeg * Math.PI) / 180
  const up: Point = [-Math.cos(head), -Math.sin(head)]
  const forward: Point = [Math.sin(head), -Math.cos(head)]
  const onAxis = add(frontAxle, times(forward, -rakeMm))
  const headTopY = bottomBracket[1] - frame.stackMm
  const headTop = add(onAxis, times(up, (onAxis[1] - headTopY) / Math.sin(head)))
  const headFoot = add(headTop, times(up, -frame.headTubeMm))
  const seat = (frame.seatAngleDeg * Math.PI) / 180
  const alongSeat = (length: number): Point => add(bottomBracket, [-Math.cos(seat) * length, -Math.sin(seat) * length])
  const stemTop = add(headTop, times(up, frame.shape === 'folding' ? 330 : 35))
  return {
    front,
    rear,
    rearAxle,
    frontAxle,
    bottomBracket,
    headTop,
    headFoot,
    up,
    forward,
    seatTop: alongSeat(frame.seatTubeMm),
    saddle: alongSeat(frame.saddleMm),
    alongSeat,
    stemTop,
    forkTop: suspension.forkMm > 0 ? between(headFoot, frontAxle, 0.12) : headFoot,
  }
}
export type Skeleton = ReturnType<typeof skeleton>

/**
 * The picture of a bike from the right, drawn from its own proportions: wheels from their tyres, tubes from the frame's
 * angles and lengths, sprockets from their teeth. Only the parts it has are there.
 */
export function bikeSideView(bike: Bike): SideView {
  const bones = skeleton(bike)
  const parts = [
    ...mudguards(bike, bones),
    ...racks(bike, bones),
    ...wheel(bones, 'rear'),
    ...wheel(bones, 'front'),
    ...frame(bike, bones),
    ...suspension(bike, bones),
    ...steering(bike, bones),
    ...seating(bones),
    ...drive(bike, bones),
    ...brakes(bike, bones),
    ...extras(bike, bones),
  ]
  const left = -bones.rear.tyre - 40
  const right = bones.frontAxle[0] + bones.front.tyre + 40
  const top = Math.min(bones.saddle[1], bones.stemTop[1]) - 130
  return { frame: [left, top, right - left, bones.rear.tyre + 25 - top], parts }
}

function wheel({ front, rear, frontAxle, rearAxle }: Skeleton, end: 'front' | 'rear'): DrawnPart[] {
  const [size, axle] = end === 'front' ? [front, frontAxle] : [rear, rearAxle]
  const spokes = Array.from({ length: 16 }, (_, i) => {
    const angle = (i * Math.PI) / 8
    const lean = (i % 2 ? 1 : -1) * 0.9
    const hub = add(axle, [18 * Math.cos(angle + lean), 18 * Math.sin(angle + lean)])
    return line(hub, add(axle, [size.rim * Math.cos(angle), size.rim * Math.sin(angle)]))
  })
  return [
    {
      part: `${end} wheel`,
      at: add(axle, [0, -size.rim * 0.55]),
      hitMm: 70,
      strokes: [
        { path: spokes.join(''), widthMm: 2, material: 'wire' },
        { path: circle(axle, size.rim - 6), widthMm: 14, material: 'metal' },
      ],
    },
    {
      part: `${end} tyre`,
      at: add(axle, [end === 'front' ? size.tyre * 0.7 : -size.tyre * 0.7, size.tyre * 0.68]),
      hitMm: 60,
      strokes: [{ path: circle(axle, (size.rim + size.tyre) / 2), widthMm: size.width, material: 'rubber' }],
    },
    {
      part: `${end} hub`,
      at: axle,
      hitMm: 34,
      strokes: [{ path: circle(axle, 16), widthMm: 0, material: 'metal' }],
    },
  ]
}

function frame({ frame: { shape }, suspension: { rearMm } }: Bike, bones: Skeleton): DrawnPart[] {
  const { rearAxle, bottomBracket, headTop, headFoot, seatTop, alongSeat } = bones
  const seatTube = line(bottomBracket, seatTop)
  const headTube: Stroke = { path: line(headTop, headFoot), widthMm: 42, material: 'tube' }
  const at = between(bottomBracket, headFoot, 0.5)
  const part = (strokes: Stroke[]): DrawnPart => ({ part: 'frame', at, hitMm: 55, strokes })
  const stays: Stroke = { path: line(seatTop, rearAxle, bottomBracket), widthMm: 17, material: 'tube' }
  switch (shape) {
    case 'folding': {
      const beam = between(headTop, headFoot, 0.7)
      const joint = alongSeat(150)
      return [
        part([
          { path: line(beam, joint), widthMm: 46, material: 'tube' },
          { path: line(bottomBracket, alongSeat(330)), widthMm: 34, material: 'tube' },
          { path: line(alongSeat(210), rearAxle, bottomBracket), widthMm: 17, material: 'tube' },
          headTube,
        ]),
      ]
    }
    case 'step-through':
      return [
        part([
          { path: line(bottomBracket, headFoot), widthMm: 58, material: 'tube' },
          { path: line(alongSeat(260), between(headFoot, headTop, 0.3)), widthMm: 34, material: 'tube' },
          { path: seatTube, widthMm: 34, material: 'tube' },
          stays,
          headTube,
        ]),
      ]
    case 'full-suspension': {
      const rocker = alongSeat(260)
      return [
        part([
          { path: line(bottomBracket, headFoot), widthMm: 50, material: 'tube' },
          { path: line(alongSeat(330), between(headTop, headFoot, 0.2)), widthMm: 36, material: 'tube' },
          { path: seatTube, widthMm: 34, material: 'tube' },
          { path: line(rearAxle, add(rocker, [-40, -20])), widthMm: 17, material: 'tube' },
          { path: line(rearAxle, add(bottomBracket, [0, -rearMm / 4])), widthMm: 19, material: 'tube' },
          headTube,
        ]),
      ]
    }
    case 'diamond':
      return [
        part([
          { path: line(bottomBracket, headFoot), widthMm: 30, material: 'tube' },
          {
            path: line(alongSeat(distance(bottomBracket, seatTop) - 18), between(headTop, headFoot, 0.15)),
            widthMm: 26,
            material: 'tube',
          },
          { path: seatTube, widthMm: 28, material: 'tube' },
          stays,
          headTube,
        ]),
      ]
    case 'sloping':
      return [
        part([
          { path: line(bottomBracket, headFoot), widthMm: 46, material: 'tube' },
          {
            path: line(alongSeat(distance(bottomBracket, seatTop) - 45), between(headTop, headFoot, 0.2)),
            widthMm: 32,
            material: 'tube',
          },
          { path: seatTube, widthMm: 32, material: 'tube' },
          { ...stays, path: line(alongSeat(distance(bottomBracket, seatTop) - 90), rearAxle, bottomBracket) },
          headTube,
        ]),
      ]
  }
}

function suspension({ suspension: { rearMm }, frame: { shape } }: Bike, bones: Skeleton): DrawnPart[] {
  if (rearMm === 0) return []
  const { bottomBracket, headFoot, alongSeat, rearAxle } = bones
  const rocker = add(alongSeat(260), [-40, -20])
  const foot = between(bottomBracket, headFoot, shape === 'full-suspension' ? 0.38 : 0.3)
  const head = add(alongSeat(260), [60, 15])
  return [
    {
      part: 'shock',
      at: between(head, foot, 0.5),
      hitMm: 40,
      strokes: [
        { path: line(head, foot), widthMm: 16, material: 'metal' },
        { path: line(between(head, foot, 0.4), foot), widthMm: 34, material: 'soft' },
      ],
    },
    {
      part: 'pivots',
      at: rocker,
      hitMm: 34,
      strokes: [
        { path: line(rocker, head), widthMm: 22, material: 'metal' },
        {
          path: `${circle(rocker, 13)}${circle(add(bottomBracket, [0, -34]), 13)}${circle(add(rearAxle, [26, -16]), 9)}`,
          widthMm: 0,
          material: 'metal',
        },
      ],
    },
  ]
}

function steering({ frame: { bar, shape }, suspension: { forkMm } }: Bike, bones: Skeleton): DrawnPart[] {
  const { headTop, headFoot, frontAxle, up, stemTop, forkTop } = bones
  const reach = bar === 'drop' ? 85 : bar === 'flat' ? 55 : 30
  const clamp = add(stemTop, [reach, -8])
  const crown = add(headFoot, times(up, -18))
  const bars: Record<typeof bar, string> = {
    drop: `M${to(clamp)}q70 -6 82 28q6 46 -44 72l-46 10`,
    flat: line(add(clamp, [-6, 4]), add(clamp, [-46, -4])),
    upright: `M${to(clamp)}q-10 -62 -70 -66l-82 4`,
  }
  const bend = between(headFoot, frontAxle, 0.72)
  const fork: Stroke[] =
    forkMm > 0
      ? [
          { path: line(crown, between(forkTop, frontAxle, 0.45)), widthMm: 26, material: 'metal' },
          { path: line(between(forkTop, frontAxle, 0.4), frontAxle), widthMm: 38, material: 'tube' },
        ]
      : [
          {
            path: `M${to(headFoot)}L${to(bend)}Q${to(between(headFoot, frontAxle, 0.9))} ${to(frontAxle)}`,
            widthMm: 24,
            material: 'tube',
          },
        ]
  return [
    { part: 'fork', at: between(headFoot, frontAxle, 0.42), hitMm: 48, strokes: fork },
    {
      part: 'headset',
      at: between(headTop, headFoot, 0.9),
      hitMm: 30,
      strokes: [
        { path: line(add(headFoot, times(up, 4)), add(headFoot, times(up, -10))), widthMm: 48, material: 'metal' },
        { path: line(headTop, add(headTop, times(up, 12))), widthMm: 46, material: 'metal' },
      ],
    },
    {
      part: 'stem',
      at: shape === 'folding' ? between(headTop, stemTop, 0.75) : between(stemTop, clamp, 0.4),
      hitMm: 34,
      strokes: [{ path: line(headTop, stemTop, clamp), widthMm: shape === 'folding' ? 34 : 28, material: 'metal' }],
    },
    {
      part: 'bar',
      at: bar === 'drop' ? add(clamp, [70, 60]) : add(clamp, [-40, bar === 'flat' ? 0 : -64]),
      hitMm: 36,
      strokes: [{ path: bars[bar], widthMm: 26, material: 'soft' }],
    },
    {
      part: 'shifter',
      at: bar === 'drop' ? add(clamp, [92, -14]) : add(clamp, [0, bar === 'flat' ? 34 : -20]),
      hitMm: 26,
      strokes: [
        {
          path:
            bar === 'drop'
              ? `M${to(add(clamp, [62, -10]))}l34 -22l8 12l-6 66`
              : line(add(clamp, [-8, 10]), add(clamp, [26, 34])),
          widthMm: 13,
          material: 'metal',
        },
      ],
    },
    {
      part: 'cables',
      at: add(between(clamp, headFoot, 0.5), [48, 0]),
      hitMm: 26,
      strokes: [
        {
          path: `M${to(clamp)}q70 90 ${to([headFoot[0] - clamp[0] - 20, headFoot[1] - clamp[1] - 10])}`,
          widthMm: 5,
          material: 'wire',
        },
      ],
    },
  ]
}

function seating({ seatTop, saddle }: Skeleton): DrawnPart[] {
  return [
    {
      part: 'seat post',
      at: between(seatTop, saddle, 0.35),
      hitMm: 34,
      strokes: [
        { path: line(seatTop, saddle), widthMm: 27, material: 'metal' },
        { path: line(between(seatTop, saddle, -0.03), between(seatTop, saddle, 0.08)), widthMm: 42, material: 'soft' },
      ],
    },
    {
      part: 'saddle',
      at: add(saddle, [15, -30]),
      hitMm: 52,
      strokes: [
        { path: line(add(saddle, [-60, -4]), add(saddle, [75, -8])), widthMm: 8, material: 'wire' },
        {
          path: `M${to(add(saddle, [-125, -44]))}q40 -14 110 4l125 0q30 4 22 16l-120 6q-60 6 -92 22q-34 4 -45 -48z`,
          widthMm: 0,
          material: 'soft',
        },
      ],
    },
  ]
}

function drive(bike: Bike, { bottomBracket, rearAxle, alongSeat, rear }: Skeleton): DrawnPart[] {
  const ring = Math.max(...bike.chainrings) * toothMm
  const cog = (Math.max(...bike.sprockets) + Math.min(...bike.sprockets)) * 0.5 * toothMm
  const largest = Math.max(...bike.sprockets) * toothMm
  const upper = line(add(bottomBracket, [0, -ring]), add(rearAxle, [0, -cog]))
  const crankEnd = add(bottomBracket, [crankMm * 0.94, crankMm * 0.34])
  const otherEnd = add(bottomBracket, [-crankMm * 0.94, -crankMm * 0.34])
  const pulley = Math.min(rear.rim - 60, largest + 62)
  const upperPulley: Point = add(rearAxle, [28, pulley * 0.62])
  const lowerPulley: Point = add(rearAxle, [52, pulley * 0.62 + 56])
  const hasDerailleur = bike.gears === 'derailleur'
  const lower = hasDerailleur
    ? line(add(bottomBracket, [0, ring]), add(lowerPulley, [0, 14]))
    : line(add(bottomBracket, [0, ring]), add(rearAxle, [0, cog]))
  return [
    {
      part: 'cassette',
      at: add(rearAxle, [-largest * 0.55, -largest * 0.5]),
      hitMm: 30,
      strokes: bike.sprockets.map((teeth) => ({
        path: circle(rearAxle, teeth * toothMm),
        widthMm: 3.5,
        material: 'metal' as const,
      })),
    },
    {
      part: 'chainring',
      at: add(bottomBracket, [ring * 0.62, -ring * 0.62]),
      hitMm: 32,
      strokes: bike.chainrings.map((teeth) => ({
        path: circle(bottomBracket, teeth * toothMm),
        widthMm: 7,
        material: 'metal' as const,
      })),
    },
    {
      part: 'chain',
      at: between(add(bottomBracket, [0, -ring]), add(rearAxle, [0, -cog]), 0.45),
      hitMm: 34,
      strokes: [{ path: `${upper}${lower}`, widthMm: 7, material: 'wire' }],
    },
    ...(hasDerailleur
      ? [
          {
            part: 'derailleur' as const,
            at: between(upperPulley, lowerPulley, 0.6),
            hitMm: 38,
            strokes: [
              { path: line(add(rearAxle, [10, 18]), upperPulley), widthMm: 20, material: 'metal' as const },
              { path: line(upperPulley, lowerPulley), widthMm: 17, material: 'metal' as const },
              { path: `${circle(upperPulley, 15)}${circle(lowerPulley, 15)}`, widthMm: 0, material: 'soft' as const },
            ],
          },
        ]
      : []),
    {
      part: 'bottom bracket',
      at: bottomBracket,
      hitMm: 26,
      strokes: [{ path: circle(bottomBracket, 24), widthMm: 0, material: 'metal' }],
    },
    ...(bike.motor === 'mid'
      ? [
          {
            part: 'motor' as const,
            at: add(bottomBracket, [34, -34]),
            hitMm: 36,
            strokes: [{ path: circle(add(bottomBracket, [16, -12]), 62), widthMm: 0, material: 'soft' as const }],
          },
        ]
      : []),
    {
      part: 'crank',
      at: between(bottomBracket, crankEnd, 0.55),
      hitMm: 32,
      strokes: [
        { path: line(otherEnd, bottomBracket), widthMm: 17, material: 'wire' },
        { path: line(bottomBracket, crankEnd), widthMm: 22, material: 'metal' },
      ],
    },
    {
      part: 'pedals',
      at: crankEnd,
      hitMm: 34,
      strokes: [
        {
          path: `${line(add(crankEnd, [-46, 0]), add(crankEnd, [46, 0]))}${line(add(otherEnd, [-46, 0]), add(otherEnd, [46, 0]))}`,
          widthMm: 19,
          material: 'soft',
        },
      ],
    },
    ...(bike.batteryWh > 0
      ? [
          {
            part: 'battery' as const,
            at: add(alongSeat(220), [150, -60]),
            hitMm: 46,
            strokes: [
              {
                path: line(add(bottomBracket, [110, -120]), add(bottomBracket, [330, -365])),
                widthMm: 64,
                material: 'soft' as const,
              },
            ],
          },
        ]
      : []),
  ]
}

function brakes(
  { brakes: kind }: Bike,
  { frontAxle, rearAxle, front, rear, alongSeat, headFoot }: Skeleton,
): DrawnPart[] {
  if (kind === 'rim') {
    const at = (axle: Point, r: number, toward: Point): Point => {
      const d = distance(axle, toward)
      return between(axle, toward, (r + 4) / d)
    }
    const frontAt = at(frontAxle, front.rim, headFoot)
    const rearAt = at(rearAxle, rear.rim, alongSeat(430))
    return (['front', 'rear'] as const).map((end) => {
      const place = end === 'front' ? frontAt : rearAt
      return {
        part: `${end} brake` as const,
        at: place,
        hitMm: 36,
        strokes: [
          { path: line(add(place, [-16, -44]), add(place, [0, 14])), widthMm: 16, material: 'metal' as const },
          { path: line(add(place, [-28, 8]), add(place, [28, 8])), widthMm: 15, material: 'soft' as const },
        ],
      }
    })
  }
  const rotor = (axle: Point, r: number): Stroke[] => [
    { path: circle(axle, r), widthMm: 12, material: 'metal' },
    {
      path: [0, 1, 2, 3, 4]
        .map((i) => line(axle, add(axle, [r * Math.cos(i * 1.257), r * Math.sin(i * 1.257)])))
        .join(''),
      widthMm: 5,
      material: 'metal',
    },
  ]
  const frontCalliper: Point = add(frontAxle, [-64, -54])
  const rearCalliper: Point = add(rearAxle, [34, -72])
  return [
    { part: 'front rotor', at: add(frontAxle, [52, 62]), hitMm: 32, strokes: rotor(frontAxle, 82) },
    { part: 'rear rotor', at: add(rearAxle, [-62, 56]), hitMm: 30, strokes: rotor(rearAxle, 76) },
    {
      part: 'front brake',
      at: frontCalliper,
      hitMm: 32,
      strokes: [
        { path: line(add(frontCalliper, [-6, -26]), add(frontCalliper, [8, 22])), widthMm: 34, material: 'soft' },
      ],
    },
    {
      part: 'rear brake',
      at: rearCalliper,
      hitMm: 32,
      strokes: [
        { path: line(add(rearCalliper, [-24, -4]), add(rearCalliper, [24, 4])), widthMm: 34, material: 'soft' },
      ],
    },
  ]
}

function racks({ racks: has }: Bike, { rear, front, rearAxle, frontAxle, alongSeat }: Skeleton): DrawnPart[] {
  const strokes: Stroke[] = []
  const deck = -rear.tyre - 45
  if (has.rear) {
    const stay = alongSeat(380)
    strokes.push({
      path: `${line([stay[0] - 20, Math.min(stay[1] + 120, deck)], [-rear.tyre * 0.75, deck])}${line([40, deck], rearAxle, [-rear.tyre * 0.5, deck])}`,
      widthMm: 12,
      material: 'metal',
    })
  }
  if (has.front) {
    const low = frontAxle[1] - front.tyre * 0.42
    strokes.push({
      path: `${line([frontAxle[0] - 90, low], [frontAxle[0] + 110, low])}${line(frontAxle, [frontAxle[0] + 20, low])}`,
      widthMm: 12,
      material: 'metal',
    })
  }
  return strokes.length > 0 ? [{ part: 'rack', at: [-rear.tyre * 0.35, deck], hitMm: 40, strokes }] : []
}

function mudguards(bike: Bike, { front, rear, frontAxle, rearAxle }: Skeleton): DrawnPart[] {
  if (!bike.mudguards) return []
  const path = `${arc(rearAxle, rear.tyre + 16, 150, 320)}${arc(frontAxle, front.tyre + 16, 165, 320)}`
  return [
    {
      part: 'mudguards',
      at: add(rearAxle, [-rear.tyre - 14, -70]),
      hitMm: 34,
      strokes: [{ path, widthMm: 9, material: 'soft' }],
    },
  ]
}

function extras(bike: Bike, bones: Skeleton): DrawnPart[] {
  const { bottomBracket, headFoot, headTop, alongSeat } = bones
  const parts: DrawnPart[] = []
  if (bike.bottleMounts > 0 && bike.batteryWh === 0) {
    const [a, b] = [between(bottomBracket, headFoot, 0.3), between(bottomBracket, headFoot, 0.6)]
    const off: Point = [-14, -34]
    parts.push({
      part: 'mounts',
      at: add(between(a, b, 0.5), off),
      hitMm: 36,
      strokes: [
        {
          path: `${line(add(a, off), add(b, off))}${line(a, add(a, off))}${line(b, add(b, off))}`,
          widthMm: 11,
          material: 'metal',
        },
      ],
    })
  } else if (bike.bottleMounts > 0) {
    const post = alongSeat(180)
    parts.push({
      part: 'mounts',
      at: add(post, [26, 0]),
      hitMm: 28,
      strokes: [{ path: line(add(post, [24, -40]), add(post, [38, 40])), widthMm: 9, material: 'metal' }],
    })
  }
  if (bike.lights !== 'none') {
    const lamp = add(headTop, [62, 52])
    parts.push({
      part: 'lights',
      at: lamp,
      hitMm: 30,
      strokes: [{ path: line(add(lamp, [-14, 0]), add(lamp, [14, 0])), widthMm: 36, material: 'soft' }],
    })
  }
  if (bike.frame.shape === 'folding') {
    const joint = between(between(headTop, headFoot, 0.7), alongSeat(150), 0.5)
    parts.push({
      part: 'hinges',
      at: joint,
      hitMm: 34,
      strokes: [
        { path: line(add(joint, [0, -34]), add(joint, [0, 34])), widthMm: 13, material: 'metal' },
        { path: line(add(headTop, [-28, 4]), add(headTop, [28, -4])), widthMm: 13, material: 'metal' },
      ],
    })
  }
  return parts
}
