// flow.local.ts
import { chromium } from "@playwright/test";

// core/road/schema.ts
import { z as z2 } from "zod";

// core/validation/defined.ts
function defined(value, what = "a value") {
  if (value === void 0 || value === null) throw new RangeError(`${what} is missing`);
  return value;
}
function nth(list, index) {
  const entry = list[index];
  if (entry === void 0) throw new RangeError(`place ${index} lies outside a list of ${list.length}`);
  return entry;
}
function numberAt(row, index) {
  const value = row[index];
  if (value === void 0) throw new RangeError(`place ${index} lies outside a row of ${row.length}`);
  return value;
}

// core/validation/text.ts
import { z } from "zod";
var unwritable = /[\u0000-\u0008\u000b\u000c\u000e-\u001f\ufffe\uffff]|\p{Surrogate}/u;
var text = (most) => z.string().max(most).refine((value) => !unwritable.test(value), "a text without control characters and halves of characters");
var idSchema = text(60).min(1);
var nameSchema = text(120).min(1);

// core/road/schema.ts
var latitude = z2.number().min(-90).max(90);
var longitude = z2.number().min(-180).max(180);
var roadPointSchema = z2.tuple([latitude, longitude, z2.number().min(-500).max(9e3).nullable()]);
var surfaces = ["asphalt", "gravel", "track", "singletrack", "sand", "mud"];
var surfaceSchema = z2.enum(surfaces);
var traffics = ["busy", "quiet", "empty"];
var trafficSchema = z2.enum(traffics);
var traits = {
  surface: surfaceSchema,
  thorns: z2.boolean().default(false),
  wet: z2.boolean().default(false),
  /** Whether a telephone finds a network there. */
  signal: z2.boolean().default(true),
  traffic: trafficSchema.default("quiet")
};
var defaultTraits = {
  surface: "gravel",
  thorns: false,
  wet: false,
  signal: true,
  traffic: "quiet"
};
var stretchSchema = z2.object({ id: idSchema, fromKm: z2.number().min(0), toKm: z2.number().min(0), ...traits }).refine((stretch2) => stretch2.toKm > stretch2.fromKm, {
  message: "a stretch must end after it begins (toKm > fromKm)",
  path: ["toKm"]
});
var mostPoints = 25e4;
var roadSchema = z2.object({
  name: text(200).default(""),
  points: z2.array(roadPointSchema).max(mostPoints).refine((points) => points.length !== 1, { message: "a road needs at least two points, or none yet" }),
  stretches: z2.array(stretchSchema).max(500).default([])
});
var emptyRoad = { name: "", points: [], stretches: [] };

// core/road/distance.ts
import geodesic from "geographiclib-geodesic";
var wgs84 = geodesic.Geodesic.WGS84;
var onlyDistance = geodesic.Geodesic.DISTANCE;
var radian = Math.PI / 180;
function geodesicM(latA, lonA, latB, lonB) {
  return wgs84.Inverse(latA, lonA, latB, lonB, onlyDistance).s12 ?? 0;
}
var radius = wgs84.a;
var eccentricity2 = wgs84.f * (2 - wgs84.f);
var short = { degrees: 0.02, latitude: 80 };
function stepM(latA, lonA, latB, lonB) {
  const north = latB - latA;
  const east = lonB - lonA;
  const middle = (latA + latB) / 2;
  if (Math.abs(north) > short.degrees || Math.abs(east) > short.degrees || Math.abs(middle) > short.latitude)
    return geodesicM(latA, lonA, latB, lonB);
  const sine = Math.sin(middle * radian);
  const w2 = 1 - eccentricity2 * sine * sine;
  const across = radius / Math.sqrt(w2);
  const northM = across * (1 - eccentricity2) / w2 * north * radian;
  const eastM = across * Math.sqrt(1 - sine * sine) * east * radian;
  return Math.sqrt(northM * northM + eastM * eastM);
}
function kmAlong(points) {
  const km = new Float64Array(points.length);
  for (let i = 1; i < points.length; i++) {
    const [latA, lonA] = nth(points, i - 1);
    const [latB, lonB] = nth(points, i);
    km[i] = numberAt(km, i - 1) + stepM(latA, lonA, latB, lonB) / 1e3;
  }
  return km;
}

// core/road/elevation.ts
var climbRule = { windowM: 100, thresholdM: 3 };
function filledElevation(points, km) {
  const eleM = new Float64Array(points.length);
  let known = -1;
  for (const [i, [, , ele]] of points.entries()) {
    if (ele === null) continue;
    const rise = known < 0 ? 0 : ele - numberAt(eleM, known);
    const runKm = known < 0 ? 0 : numberAt(km, i) - numberAt(km, known);
    for (let hole = known + 1; hole < i; hole++) {
      const alongKm = runKm > 0 ? numberAt(km, hole) - numberAt(km, known) : 0;
      eleM[hole] = known < 0 ? ele : numberAt(eleM, known) + (runKm > 0 ? rise * alongKm / runKm : 0);
    }
    eleM[i] = ele;
    known = i;
  }
  if (known < 0) return null;
  eleM.fill(numberAt(eleM, known), known + 1);
  return eleM;
}
function smoothedElevation(eleM, km, windowM) {
  const n = eleM.length;
  const area = new Float64Array(n);
  for (let i = 1; i < n; i++) {
    area[i] = numberAt(area, i - 1) + (numberAt(eleM, i) + numberAt(eleM, i - 1)) / 2 * (numberAt(km, i) - numberAt(km, i - 1));
  }
  let low = 0;
  let high = 0;
  const areaTo = (x, from) => {
    let i = from;
    while (i < n - 2 && numberAt(km, i + 1) < x) i++;
    const step = numberAt(km, i + 1) - numberAt(km, i);
    const part = step > 0 ? (x - numberAt(km, i)) / step : 0;
    const eleAtX = numberAt(eleM, i) + part * (numberAt(eleM, i + 1) - numberAt(eleM, i));
    return [numberAt(area, i) + (numberAt(eleM, i) + eleAtX) / 2 * (x - numberAt(km, i)), i];
  };
  const smooth = new Float64Array(n);
  const end = numberAt(km, n - 1);
  for (let i = 0; i < n; i++) {
    const half = Math.min(windowM / 2e3, numberAt(km, i), end - numberAt(km, i));
    if (half <= 0) {
      smooth[i] = numberAt(eleM, i);
      continue;
    }
    const [before, lowAt] = areaTo(numberAt(km, i) - half, low);
    const [after, highAt] = areaTo(numberAt(km, i) + half, Math.max(high, lowAt));
    low = lowAt;
    high = highAt;
    smooth[i] = (after - before) / (2 * half);
  }
  return smooth;
}
function climbAlong(eleM, thresholdM) {
  const turns = turningPoints(eleM, thresholdM);
  const upM = new Float64Array(eleM.length);
  const downM = new Float64Array(eleM.length);
  for (let t = 1; t < turns.length; t++) {
    const from = nth(turns, t - 1);
    const to = nth(turns, t);
    const climbing = numberAt(eleM, to) >= numberAt(eleM, from);
    const [along, still] = climbing ? [upM, downM] : [downM, upM];
    const full = Math.abs(numberAt(eleM, to) - numberAt(eleM, from));
    let gained = 0;
    for (let i = from + 1; i <= to; i++) {
      gained = Math.min(full, Math.max(gained, Math.abs(numberAt(eleM, i) - numberAt(eleM, from))));
      along[i] = numberAt(along, from) + gained;
      still[i] = numberAt(still, from);
    }
  }
  return { upM, downM };
}
function turningPoints(eleM, thresholdM) {
  const last = eleM.length - 1;
  const turns = [0];
  let highest = 0;
  let lowest = 0;
  let heading = "unknown";
  for (let i = 1; i <= last; i++) {
    if (numberAt(eleM, i) > numberAt(eleM, highest)) highest = i;
    if (numberAt(eleM, i) < numberAt(eleM, lowest)) lowest = i;
    if (heading !== "down" && numberAt(eleM, highest) - numberAt(eleM, i) >= thresholdM) {
      if (highest > nth(turns, turns.length - 1)) turns.push(highest);
      heading = "down";
      lowest = i;
      highest = i;
    } else if (heading !== "up" && numberAt(eleM, i) - numberAt(eleM, lowest) >= thresholdM) {
      if (lowest > nth(turns, turns.length - 1)) turns.push(lowest);
      heading = "up";
      highest = i;
      lowest = i;
    }
  }
  const tail = heading === "up" ? highest : heading === "down" ? lowest : last;
  if (tail > nth(turns, turns.length - 1)) turns.push(tail);
  if (nth(turns, turns.length - 1) < last) turns.push(last);
  return turns;
}

// core/road/survey.ts
function surveyRoad(points) {
  const km = kmAlong(points);
  const n = points.length;
  const lengthKm2 = n > 0 ? numberAt(km, n - 1) : 0;
  const known = filledElevation(points, km);
  if (!known || n < 2) {
    return { km, eleM: null, upM: new Float64Array(n), downM: new Float64Array(n), lengthKm: lengthKm2, climbM: null };
  }
  const eleM = smoothedElevation(known, km, climbRule.windowM);
  const { upM, downM } = climbAlong(eleM, climbRule.thresholdM);
  return { km, eleM, upM, downM, lengthKm: lengthKm2, climbM: numberAt(upM, n - 1) };
}
function pointBefore(km, atKm) {
  let low = 0;
  let high = km.length - 1;
  while (low < high) {
    const middle = low + high + 1 >> 1;
    if (numberAt(km, middle) <= atKm) low = middle;
    else high = middle - 1;
  }
  return low;
}
function positionAt(points, survey, atKm) {
  const i = Math.min(pointBefore(survey.km, atKm), points.length - 2);
  const step = numberAt(survey.km, i + 1) - numberAt(survey.km, i);
  const part = step > 0 ? Math.min(Math.max((atKm - numberAt(survey.km, i)) / step, 0), 1) : 0;
  const [latA, lonA] = nth(points, i);
  const [latB, lonB] = nth(points, i + 1);
  const turn = ((lonB - lonA + 540) % 360 + 360) % 360 - 180;
  const lon = lonA + part * turn;
  return { lat: latA + part * (latB - latA), lon: ((lon + 540) % 360 + 360) % 360 - 180 };
}

// core/units/factors.ts
var GRAMS_PER_OUNCE = 28.349523125;
var GRAMS_PER_POUND = 453.59237;
var KM_PER_MILE = 1.609344;
var METRES_PER_FOOT = 0.3048;
var MM_PER_INCH = 25.4;
var BAR_PER_PSI = 4.4482216152605 / 64516e-8 / 1e5;
var FAHRENHEIT_ZERO_C = -32 / 1.8;
var NEWTON_PER_POUND_FORCE = 4.4482216152605;
var NEWTON_METRE_PER_FOOT_POUND = NEWTON_PER_POUND_FORCE * METRES_PER_FOOT;
var ML_PER_FLUID_OUNCE = 29.5735295625;

// core/units/measure.ts
var units = {
  mass: { g: 1, kg: 1e3, oz: GRAMS_PER_OUNCE, lb: GRAMS_PER_POUND, lbs: GRAMS_PER_POUND },
  distance: { km: 1, m: 1e-3, mi: KM_PER_MILE, ft: METRES_PER_FOOT / 1e3 },
  time: { h: 1, min: 1 / 60, s: 1 / 3600, d: 24 },
  speed: { "km/h": 1, mph: KM_PER_MILE },
  height: { m: 1, ft: METRES_PER_FOOT },
  pressure: { bar: 1, psi: BAR_PER_PSI, kpa: 0.01 },
  length: { mm: 1, cm: 10, m: 1e3, in: MM_PER_INCH },
  /** A probability or a part of a whole; the core's own is 0 to 1. */
  share: { "%": 0.01 },
  /** Read off a scale whose zero may lie elsewhere. */
  temperature: { "\xB0c": 1, c: 1, "\xB0f": 1 / 1.8, f: 1 / 1.8 },
  torque: { "n\xB7m": 1, nm: 1, "lbf\xB7ft": NEWTON_METRE_PER_FOOT_POUND, "ft\xB7lb": NEWTON_METRE_PER_FOOT_POUND },
  force: { n: 1, lbf: NEWTON_PER_POUND_FORCE },
  energy: { wh: 1, kj: 1 / 3.6 },
  angle: { "\xB0": 1, deg: 1 },
  months: { months: 1, month: 1, weeks: 12 / 52 },
  /** Things that are counted. */
  number: { "": 1 },
  volume: { ml: 1, l: 1e3, "fl oz": ML_PER_FLUID_OUNCE }
};

// core/units/customary.ts
var customary = {
  mass: {
    quantity: "mass",
    metric: { unit: "g", per: 1, decimals: 1 },
    imperial: { unit: "oz", per: GRAMS_PER_OUNCE, decimals: 1 }
  },
  road: {
    quantity: "distance",
    metric: { unit: "km", per: 1, decimals: 1 },
    imperial: { unit: "mi", per: KM_PER_MILE, decimals: 1 }
  },
  shortWay: {
    quantity: "distance",
    metric: { unit: "m", per: 1e-3, decimals: 0 },
    imperial: { unit: "ft", per: METRES_PER_FOOT / 1e3, decimals: 0 }
  },
  time: {
    quantity: "time",
    metric: { unit: "h", per: 1, decimals: 2 },
    imperial: { unit: "h", per: 1, decimals: 2 }
  },
  speed: {
    quantity: "speed",
    metric: { unit: "km/h", per: 1, decimals: 1 },
    imperial: { unit: "mph", per: KM_PER_MILE, decimals: 1 }
  },
  height: {
    quantity: "height",
    metric: { unit: "m", per: 1, decimals: 0 },
    imperial: { unit: "ft", per: METRES_PER_FOOT, decimals: 0 }
  },
  // Bicycle parts are made, marked and sold in millimetres and newton metres, whatever one reads else.
  length: {
    quantity: "length",
    metric: { unit: "mm", per: 1, decimals: 1 },
    imperial: { unit: "mm", per: 1, decimals: 1 }
  },
  torque: {
    quantity: "torque",
    metric: { unit: "N\xB7m", per: 1, decimals: 1 },
    imperial: { unit: "N\xB7m", per: 1, decimals: 1 }
  },
  pressure: {
    quantity: "pressure",
    metric: { unit: "bar", per: 1, decimals: 2 },
    imperial: { unit: "psi", per: BAR_PER_PSI, decimals: 1 }
  },
  volume: {
    quantity: "volume",
    metric: { unit: "mL", per: 1, decimals: 0 },
    imperial: { unit: "fl oz", per: ML_PER_FLUID_OUNCE, decimals: 2 }
  },
  force: {
    quantity: "force",
    metric: { unit: "N", per: 1, decimals: 0 },
    imperial: { unit: "lbf", per: NEWTON_PER_POUND_FORCE, decimals: 0 }
  },
  energy: {
    quantity: "energy",
    metric: { unit: "Wh", per: 1, decimals: 1 },
    imperial: { unit: "Wh", per: 1, decimals: 1 }
  },
  angle: {
    quantity: "angle",
    metric: { unit: "\xB0", per: 1, decimals: 1 },
    imperial: { unit: "\xB0", per: 1, decimals: 1 }
  },
  months: {
    quantity: "months",
    metric: { unit: "months", per: 1, decimals: 1 },
    imperial: { unit: "months", per: 1, decimals: 1 }
  },
  development: {
    quantity: "height",
    metric: { unit: "m", per: 1, decimals: 2 },
    imperial: { unit: "ft", per: METRES_PER_FOOT, decimals: 1 }
  },
  number: {
    quantity: "number",
    metric: { unit: "", per: 1, decimals: 2 },
    imperial: { unit: "", per: 1, decimals: 2 }
  },
  /** Events in 1000 km, as they are counted everywhere. */
  rate: {
    quantity: "number",
    metric: { unit: "", per: 1, decimals: 4 },
    imperial: { unit: "", per: 1, decimals: 4 }
  },
  share: {
    quantity: "share",
    metric: { unit: "%", per: 0.01, decimals: 1 },
    imperial: { unit: "%", per: 0.01, decimals: 1 }
  },
  rain: {
    quantity: "length",
    metric: { unit: "mm", per: 1, decimals: 1 },
    imperial: { unit: "in", per: MM_PER_INCH, decimals: 2 }
  },
  warmth: {
    quantity: "temperature",
    metric: { unit: "\xB0C", per: 1, decimals: 0 },
    imperial: { unit: "\xB0F", per: 1 / 1.8, decimals: 0, zero: FAHRENHEIT_ZERO_C }
  }
};

// core/road/walking.ts
var walkingMethods = ["naismith", "tobler"];
var naismithKmPerHour = 3 * KM_PER_MILE;
var naismithClimbPerHour = 2e3 * METRES_PER_FOOT;

// core/road/gpx-xml.ts
import { SaxesParser } from "saxes";

// core/road/gpx-read.ts
var largestGpxBytes = 48 * 1024 * 1024;

// core/road/gpx-write.ts
import Builder from "fast-xml-builder";
var options = { ignoreAttributes: false, attributeNamePrefix: "@", format: true };
var builder = new Builder(options);
var pointBuilder = new Builder({ ...options, processEntities: false });
var pointsAtOnce = 5e3;
var noPoints = "<trkseg></trkseg>";
var degrees = (value) => String(Number(value.toFixed(9)));
function writeGpx(road, survey, stops, timeAt) {
  const document2 = builder.build({
    "?xml": { "@version": "1.0", "@encoding": "UTF-8" },
    gpx: {
      "@version": "1.1",
      "@creator": "Rag Tin",
      "@xmlns": "http://www.topografix.com/GPX/1/1",
      wpt: stops.map((stop) => {
        const { lat, lon } = positionAt(road.points, survey, stop.roadKm);
        return { "@lat": degrees(lat), "@lon": degrees(lon), name: stop.name, desc: stop.about, sym: stop.symbol };
      }),
      trk: { name: road.name, trkseg: "" }
    }
  });
  const [head, tail] = document2.split(noPoints);
  return [head, "<trkseg>\n", ...pointsOf(road, survey, timeAt), "</trkseg>", tail].join("");
}
function* pointsOf({ points }, { km }, timeAt) {
  for (let from = 0; from < points.length; from += pointsAtOnce) {
    yield pointBuilder.build({
      trkpt: points.slice(from, from + pointsAtOnce).map(([lat, lon, eleM], i) => ({
        "@lat": degrees(lat),
        "@lon": degrees(lon),
        ...eleM === null ? {} : { ele: String(eleM) },
        ...timeAt ? { time: timeAt(numberAt(km, from + i)) } : {}
      }))
    });
  }
}

// core/road/level-road.ts
var kmOfDegree = Math.PI * 6378.137 / 180;

// core/bike/parts.ts
var bikeParts = [
  "front tyre",
  "rear tyre",
  "front wheel",
  "rear wheel",
  "front hub",
  "rear hub",
  "cassette",
  "chain",
  "chainring",
  "crank",
  "pedals",
  "bottom bracket",
  "derailleur",
  "shifter",
  "cables",
  "front brake",
  "rear brake",
  "front rotor",
  "rear rotor",
  "bar",
  "stem",
  "headset",
  "fork",
  "saddle",
  "seat post",
  "frame",
  "pivots",
  "shock",
  "rack",
  "mudguards",
  "mounts",
  "lights",
  "motor",
  "battery",
  "hinges"
];

// core/bike/tyre.ts
import { z as z3 } from "zod";
var beadDiametersMm = [
  203,
  239,
  305,
  317,
  337,
  340,
  349,
  355,
  369,
  387,
  390,
  406,
  419,
  432,
  438,
  440,
  451,
  457,
  484,
  489,
  490,
  501,
  507,
  520,
  531,
  534,
  540,
  541,
  547,
  559,
  565,
  571,
  584,
  587,
  590,
  597,
  609,
  622,
  630,
  635,
  642
];
var beadOfName = {
  "29": 622,
  "28": 622,
  "27.5": 584,
  "26": 559,
  "24": 507,
  "20": 406,
  "18": 355,
  "16": 305,
  "700": 622,
  "650": 584
};
function readTyreSize(marking) {
  const size = byBead(marking) ?? byInches(marking) ?? byLetter(marking);
  return size && size.widthMm >= 18 && size.widthMm <= 135 ? size : void 0;
}
function byBead(marking) {
  const match = /^\s*(\d{2,3})\s*[-–×x]\s*(\d{3})\s*$/.exec(marking);
  const [widthMm, beadMm] = [Number(match?.[1]), Number(match?.[2])];
  return beadDiametersMm.includes(beadMm) ? { widthMm, beadMm } : void 0;
}
function byInches(marking) {
  const match = /^\s*(\d{2}(?:[.,]5)?)\s*["”″]?\s*[×x]\s*(\d[.,]\d{1,3})\s*["”″]?\s*$/i.exec(marking);
  const beadMm = match && beadOfName[(match[1] ?? "").replace(",", ".")];
  return beadMm ? { widthMm: Math.round(Number((match[2] ?? "").replace(",", ".")) * MM_PER_INCH), beadMm } : void 0;
}
function byLetter(marking) {
  const match = /^\s*(700|650)\s*[×x]\s*(\d{2})\s*([bc]?)\s*$/i.exec(marking);
  if (!match) return void 0;
  const [, name = "", width, letter = ""] = match;
  const usual = name === "700" ? "c" : "b";
  const beadMm = letter === "" || letter.toLowerCase() === usual ? beadOfName[name] : void 0;
  return beadMm ? { widthMm: Number(width), beadMm } : void 0;
}
var tyreSchema = z3.object({
  size: z3.string().refine((marking) => readTyreSize(marking) !== void 0, {
    message: 'a tyre marking of width and bead such as "50-622"'
  }),
  tubeless: z3.boolean().default(false),
  protection: z3.enum(["light", "normal", "tough"]).default("normal"),
  /** Tread left, 1 when new. */
  treadLeft: z3.number().min(0).max(1).default(0.8),
  /** Pressure it is ridden at, bar; null: the usual one for its width. */
  rideBar: z3.number().gt(0).max(15).nullable().default(null),
  /** The most its side says, bar; null where nobody has looked. */
  mostBar: z3.number().gt(0).max(15).nullable().default(null)
});

// core/bike/wheel.ts
import { z as z4 } from "zod";

// core/bike/spoke-length.ts
function mostCrossings(holes) {
  return Math.ceil(holes / 8) - 1;
}

// core/bike/wheel.ts
var wheelSideSchema = z4.object({
  /** Pitch circle of the spoke holes, mm. */
  flangeMm: z4.number().min(20).max(300).default(58),
  /** From the middle of the hub to the flange, mm. */
  offsetMm: z4.number().min(0).max(80).default(35),
  /** Length of a spoke taken out and measured, mm; null where nobody has. */
  measuredMm: z4.number().min(60).max(350).nullable().default(null)
});
var wheelMeasures = z4.object({
  holes: z4.number().int().min(8).max(72).default(32),
  crossings: z4.number().int().min(0).max(5).default(3),
  /** Effective rim diameter: between the seats of two opposite nipples, mm. */
  erdMm: z4.number().min(100).max(700).default(600),
  spokeHoleMm: z4.number().min(1.5).max(5).default(2.6),
  left: wheelSideSchema.prefault({}),
  right: wheelSideSchema.prefault({}),
  /** Across the flats of a nipple, mm. */
  nippleMm: z4.number().min(3).max(6).default(3.2),
  /** Whether a spoke of the geared side goes in with everything on the hub left in place. */
  freeDriveSide: z4.boolean().default(false)
});
var wheelSchema = wheelMeasures.refine(({ holes }) => holes % 2 === 0, { message: "an even number of holes", path: ["holes"] }).refine(({ holes, crossings }) => crossings <= mostCrossings(holes), {
  error: ({ input }) => {
    const { holes } = input;
    return `at most ${mostCrossings(holes)} crossings for ${holes} holes, or a spoke lies across its neighbour's head`;
  },
  path: ["crossings"]
});
var rimSchema = z4.object({
  hooked: z4.boolean().default(true),
  /** From the tube's side of the rim to where the valve comes out, mm. */
  depthMm: z4.number().min(5).max(120).default(22),
  /** Widest pressure its maker allows, bar; null where unknown. */
  mostBar: z4.number().gt(0).max(15).nullable().default(null),
  /** Stem of the valve that is in it, mm; null where nobody has measured. */
  stemMm: z4.number().min(10).max(150).nullable().default(null),
  /** The hole for the valve takes a thick one. */
  wideValveHole: z4.boolean().default(false)
});

// core/bike/frame.ts
import { z as z5 } from "zod";
var frameShapes = ["diamond", "sloping", "full-suspension", "folding", "step-through"];
var barShapes = ["drop", "flat", "upright"];
var frameSchema = z5.object({
  shape: z5.enum(frameShapes).default("sloping"),
  material: z5.enum(["steel", "aluminium", "titanium", "carbon"]).default("aluminium"),
  bar: z5.enum(barShapes).default("flat"),
  wheelbaseMm: z5.number().min(700).max(1500).default(1050),
  /** From the bottom bracket to the rear axle, mm. */
  chainstayMm: z5.number().min(300).max(650).default(435),
  /** How far the bottom bracket lies below the line of the axles, mm. */
  dropMm: z5.number().min(-150).max(100).default(70),
  headAngleDeg: z5.number().min(60).max(80).default(71),
  seatAngleDeg: z5.number().min(65).max(80).default(73.5),
  /** From the bottom bracket to the top of the head tube, mm, upwards. */
  stackMm: z5.number().min(350).max(850).default(590),
  headTubeMm: z5.number().min(60).max(350).default(150),
  /** From the bottom bracket along the seat tube, mm: to its top, and to the saddle. */
  seatTubeMm: z5.number().min(200).max(700).default(500),
  saddleMm: z5.number().min(350).max(900).default(730)
});

// core/bike/fastener.ts
import { z as z6 } from "zod";
var measuredDrives = ["hex", "slot", "flats", "nipple"];
var numberedDrives = ["hexalobular", "phillips", "pozidriv"];
var namedDrives = ["spline", "valve-core"];
var sizelessDrives = ["chain-pin", "quick-link", "by-hand"];
var sizeName = z6.string().regex(/^[a-z0-9-]{1,20}$/, 'a short name of letters, digits and hyphens such as "presta"');
var driveSchema = z6.discriminatedUnion("profile", [
  z6.object({ profile: z6.enum(measuredDrives), size: z6.number().min(0.5).max(60) }),
  z6.object({ profile: z6.enum(numberedDrives), size: z6.number().int().min(0).max(100) }),
  z6.object({ profile: z6.enum(namedDrives), size: sizeName }),
  z6.object({ profile: z6.enum(sizelessDrives) })
]);
var fastenerSchema = z6.object({
  id: idSchema,
  name: nameSchema,
  part: z6.enum(bikeParts),
  /** What fixes call it: "hanger-bolt"; empty where no fix asks for it. */
  role: z6.string().regex(/^[a-z0-9-]{0,40}$/, 'a role such as "hanger-bolt"').default(""),
  count: z6.number().int().min(1).max(99).default(1),
  drive: driveSchema,
  /** Tightening torque, N·m. The maker's manual decides. */
  torqueNm: z6.object({ least: z6.number().min(0).max(300), most: z6.number().min(0).max(300) }).refine(({ least, most }) => most >= least, {
    message: "a torque whose most is not below its least",
    path: ["most"]
  }),
  /** Torque it takes to come loose, N·m; null: as much as it was tightened with. */
  looseNm: z6.number().min(0).max(300).nullable().default(null),
  /** How deep the drive lies, mm: a key must reach that far. */
  recessMm: z6.number().min(0).max(400).default(0),
  /** Room beside its axis for the body of a tool, mm. */
  roomMm: z6.number().min(1).max(500).default(100),
  /** How far a lever can swing before it meets something, degrees. */
  swingDeg: z6.number().min(5).max(360).default(360),
  /** An axle or a cable runs through it: a ring or a socket cannot be put over. */
  openEndOnly: z6.boolean().default(false),
  /** Width of the flats along the axis, mm, where only a thin jaw gets in; null where any does. */
  gapMm: z6.number().min(1).max(60).nullable().default(null),
  /** What a second tool has to hold on the other side; null where nothing turns with it. */
  counterhold: driveSchema.nullable().default(null),
  /** It clamps carbon, or a light part that breaks: a torque key and the maker's value decide. */
  wantsTorqueKey: z6.boolean().default(false),
  /** Why it can wait for a workshop; empty where it cannot. */
  canWait: text(200).default("")
});

// core/bike/schema.ts
import { z as z7 } from "zod";
var shape = z7.string().regex(/^[a-z0-9]{1,8}$/, 'a short shape mark of letters and digits such as "k3"');
var share = z7.number().min(0).max(1);
var teeth = z7.number().int().min(6).max(70);
var cableMm = z7.number().min(100).max(4e3).nullable().default(null);
var bikeKinds = [
  "gravel",
  "hard-tail",
  "full-suspension",
  "tourer",
  "folder",
  "fat-electric",
  "single-speed"
];
var storageSchema = z7.object({
  name: text(60).min(1),
  volumeMl: z7.number().min(1).max(2e4),
  /** The longest thing that goes in, mm. */
  longestMm: z7.number().min(10).max(1e3)
});
var bikeSchema = z7.object({
  id: idSchema,
  name: nameSchema,
  kind: z7.enum(bikeKinds).default("gravel"),
  frame: frameSchema.prefault({}),
  tyres: z7.object({ front: tyreSchema, rear: tyreSchema }),
  rims: z7.object({ front: rimSchema.prefault({}), rear: rimSchema.prefault({}) }).prefault({}),
  valve: z7.enum(["presta", "schrader"]).default("presta"),
  /** Sealant left in tubeless tyres, 1 when just filled. */
  sealantLeft: share.default(0.8),
  wheels: z7.object({ front: wheelSchema.prefault({}), rear: wheelSchema.prefault({}) }).prefault({}),
  gears: z7.enum(["derailleur", "hub", "single"]).default("derailleur"),
  shifting: z7.enum(["cable", "electric", "none"]).default("cable"),
  speeds: z7.number().int().min(1).max(14).default(11),
  chainrings: z7.array(teeth).min(1).max(3).default([40]),
  /** Teeth of each sprocket, the smallest first. */
  sprockets: z7.array(teeth).min(1).max(14).default([11, 13, 15, 17, 19, 21, 24, 28, 32, 37, 42]),
  /** Links of the chain as it is, each of half an inch; null where nobody has counted. */
  chainLinks: z7.number().int().min(50).max(250).nullable().default(null),
  hanger: shape.default("a1"),
  /** Spline of what holds the sprockets. */
  lockring: shape.default("c1"),
  /** Chain life left, 1 when new. */
  chainLeft: share.default(0.8),
  /** Life that the shift cables have left before they fray, 1 when new. */
  cablesLeft: share.default(0.8),
  brakes: z7.enum(["rim", "cable-disc", "hydraulic-disc"]).default("cable-disc"),
  padShape: shape.default("b1"),
  padCompound: z7.enum(["organic", "sintered", "rubber"]).default("organic"),
  /** Thickness left of what may be worn away, 1 when new. */
  padLeft: share.default(0.8),
  /** Inner cables this bike needs at least, mm; null where nobody has measured. */
  cables: z7.object({ frontBrakeMm: cableMm, rearBrakeMm: cableMm, rearShiftMm: cableMm, frontShiftMm: cableMm }).prefault({}),
  pedals: z7.enum(["flat", "two-bolt", "three-bolt"]).default("flat"),
  racks: z7.object({ front: z7.boolean().default(false), rear: z7.boolean().default(false) }).prefault({}),
  mudguards: z7.boolean().default(false),
  leatherSaddle: z7.boolean().default(false),
  /** Travel in mm; 0 where there is none. */
  suspension: z7.object({ forkMm: z7.number().min(0).max(250).default(0), rearMm: z7.number().min(0).max(250).default(0) }).prefault({}),
  motor: z7.enum(["none", "mid", "front-hub", "rear-hub"]).default("none"),
  batteryWh: z7.number().min(0).max(3e3).default(0),
  lights: z7.enum(["none", "battery", "dynamo"]).default("battery"),
  /** Places for a bottle or a cage. */
  bottleMounts: z7.number().int().min(0).max(8).default(2),
  storage: z7.array(storageSchema).max(12).default([]),
  /** How much slower than a walker one is pushing this bike loaded; planning value 1.15. */
  pushFactor: z7.number().min(1).max(4).default(1.15),
  /** Every bolt, nut and screw that may have to be turned. */
  fasteners: z7.array(fastenerSchema).max(120).refine((list) => new Set(list.map(({ id }) => id)).size === list.length, {
    message: "fasteners that each have an id of their own"
  }).default([])
});

// core/bike/traits.ts
var bikeTraits = [
  "tubeless",
  "tubed",
  "light-tyre",
  "tough-tyre",
  "derailleur",
  "hub-gear",
  "single-speed",
  "cable-shift",
  "electric-shift",
  "rim-brake",
  "cable-brake",
  "disc-brake",
  "hydraulic",
  "rear-suspension",
  "rack",
  "cleats",
  "small-wheel",
  "free-drive-side",
  "can-be-single-speed",
  "threaded-headset",
  "organic-pads",
  "sintered-pads",
  "motor",
  "folds",
  "leather-saddle",
  "suspension-fork"
];

// core/bike/default-fasteners.ts
var variable = [
  {
    parts: ["front brake", "rear brake", "front rotor", "rear rotor"],
    alike: (a, b2) => a.brakes === b2.brakes,
    has: () => true
  },
  {
    parts: ["rack"],
    alike: (a, b2) => hasRack(a) === hasRack(b2),
    has: (bike) => hasRack(bike)
  },
  { parts: ["mudguards"], alike: (a, b2) => a.mudguards === b2.mudguards, has: (bike) => bike.mudguards },
  {
    parts: ["derailleur", "shifter"],
    alike: (a, b2) => a.gears === b2.gears,
    has: (bike) => bike.gears === "derailleur"
  },
  { parts: ["motor", "battery"], alike: (a, b2) => a.motor === b2.motor, has: (bike) => bike.motor !== "none" },
  {
    parts: ["fork"],
    alike: (a, b2) => a.suspension.forkMm > 0 === b2.suspension.forkMm > 0,
    has: (bike) => bike.suspension.forkMm > 0
  },
  {
    parts: ["pivots", "shock"],
    alike: (a, b2) => a.suspension.rearMm > 0 === b2.suspension.rearMm > 0,
    has: (bike) => bike.suspension.rearMm > 0
  }
];
var hasRack = ({ racks }) => racks.front || racks.rear;
function defaultFasteners(bike, kinds) {
  const own = kinds.find(({ kind }) => kind === bike.kind);
  let list = own?.fasteners ?? [];
  for (const { parts, alike, has } of variable) {
    if (own && alike(bike, own)) continue;
    const lender = has(bike) ? kinds.find((other) => alike(bike, other)) : void 0;
    list = [...without(list, parts), ...(lender?.fasteners ?? []).filter(({ part }) => parts.includes(part))];
  }
  if (bike.brakes === "cable-disc" || bike.brakes === "rim") list = withRole(list, "brake-anchor", kinds);
  list = bike.pedals === "flat" ? list.filter(({ role }) => role !== "cleat-bolt") : withRole(list, "cleat-bolt", kinds);
  return list.map((fastener2) => fitted(fastener2, bike));
}
var without = (list, parts) => list.filter(({ part }) => !parts.includes(part));
function withRole(list, role, kinds) {
  if (list.some((fastener2) => fastener2.role === role)) return list;
  const lender = kinds.find(({ fasteners }) => fasteners.some((fastener2) => fastener2.role === role));
  return [...list, ...(lender?.fasteners ?? []).filter((fastener2) => fastener2.role === role)];
}
function fitted(fastener2, { valve, wheels: wheels2 }) {
  switch (fastener2.role) {
    case "valve-core":
      return { ...fastener2, drive: { profile: "valve-core", size: valve } };
    case "nipple-front":
      return { ...fastener2, drive: { profile: "nipple", size: wheels2.front.nippleMm }, count: wheels2.front.holes };
    case "nipple-rear":
      return { ...fastener2, drive: { profile: "nipple", size: wheels2.rear.nippleMm }, count: wheels2.rear.holes };
    default:
      return fastener2;
  }
}

// core/crew/schema.ts
import { z as z8 } from "zod";
var skillSchema = z8.union([z8.literal(0), z8.literal(1), z8.literal(2), z8.literal(3)]);
var difficultySchema = z8.enum(["easy", "medium", "hard"]);
var techniqueSchema = z8.object({ id: z8.string(), name: z8.string(), difficulty: difficultySchema });
var riderSchema = z8.object({
  id: idSchema,
  name: nameSchema,
  bikeId: idSchema,
  /** The level in every technique not named in skills. */
  hands: skillSchema.default(2),
  skills: z8.record(text(60), skillSchema).default({})
});

// core/ride/wall-clock.ts
var minutesPerDay = 24 * 60;
var written = /^(\d{4})-(\d{2})-(\d{2})T(\d{2}):(\d{2})$/;
function isWallClock(text2) {
  return written.test(text2) && formatWallClock(parseWallClock(text2)) === text2;
}
function parseWallClock(text2) {
  const match = written.exec(text2);
  if (!match) throw new RangeError(`"${text2}" is no date and time such as 2026-06-12T08:00`);
  const [year, month, day3, hour, minute] = match.slice(1).map(Number);
  return Date.UTC(year, month - 1, day3, hour, minute) / 6e4;
}
function formatWallClock(at) {
  return new Date(Math.floor(at + 1e-6) * 6e4).toISOString().slice(0, 16);
}
var weekday = new Intl.DateTimeFormat("en", { weekday: "long", timeZone: "UTC" });

// core/ride/schema.ts
import { z as z9 } from "zod";
var startsBetween = { first: "1900-01-01T00:00", last: "2199-12-31T23:59" };
var startYears = `${startsBetween.first.slice(0, 4)} to ${startsBetween.last.slice(0, 4)}`;
var nightSchema = z9.object({
  id: idSchema,
  roadKm: z9.number().min(0),
  /** The stop it is spent at, and goes along with; null out on the road. One that is not there any more counts as none. */
  stop: idSchema.nullable().default(null),
  nights: z9.number().int().min(1).max(30).default(1)
});
var speed = z9.number().min(1).max(60);
var defaultPace = {
  asphalt: 20,
  gravel: 15,
  track: 12,
  singletrack: 8,
  sand: 6,
  mud: 5
};
var rideSchema = z9.object({
  /** When the first day begins, by the clock on the wall; null while nobody knows. */
  start: z9.string().refine(isWallClock, { message: "a date and a time such as 2026-06-12T08:00" }).refine((start2) => start2 >= startsBetween.first && start2 <= startsBetween.last, {
    message: `a date of the years ${startYears}`
  }).nullable().default(null),
  /** Hours by which the clocks there are ahead of universal time; for the sun. */
  utcOffsetH: z9.number().min(-12).max(14).default(0),
  /** The country, for public holidays in opening hours: two letters of ISO 3166-1. */
  country: z9.string().regex(/^[a-z]{2}$/, 'two small letters such as "is"').nullable().default(null),
  /** When later days begin, in hours after midnight. */
  dayStartsH: z9.number().min(0).lt(24).default(8),
  /** Hours of riding in a day. */
  ridingH: z9.number().min(1).max(24).default(7),
  /** Hours of standing about for each hour of riding. */
  pauseH: z9.number().min(0).max(2).default(0.25),
  pace: z9.object(Object.fromEntries(surfaces.map((surface) => [surface, speed.default(defaultPace[surface])]))).prefault({}),
  /** Metres of climb that take an hour beyond the level time. */
  climbMPerH: z9.number().min(100).max(3e3).default(700),
  nights: z9.array(nightSchema).max(200).default([])
});

// core/ride/daylight.ts
import { getTimes } from "suncalc";

// core/ride/holiday-countries.ts
var holidayCountries = new Set(
  "ar at au be bg br by ca ch ci cn cz de dk ee es fi fr ge gg gi gr hr hu ie im it je jp lt lu lv mc md mt mx na nf nl no nz pl pm pt ro rs ru se si sj sk sm ua us vn xa za".split(" ")
);

// core/ride/opening.ts
import OpeningRules from "opening_hours";
var aYear = 366 * 24 * 60;
var readerSettings = {
  mode: 0,
  locale: "en",
  tag_key: "opening_hours",
  map_value: false,
  warnings_severity: 4
};
var isTwofold = (warning) => /could mean/.test(warning);
function byDay(tidy) {
  return tidy.replace(
    /(\d\d):(\d\d)-(\d\d):(\d\d)/g,
    (span2, h1, m1, h2, m2) => Number(h2) < 12 && `${h2}${m2}` <= `${h1}${m1}` ? `${h1}:${m1}-${Number(h2) + 12}:${m2}` : span2
  );
}
var nothingYet = /^[\s;]+/;
var beyondCalendars = /\d{5}/;
function readOpening(given, locality) {
  const { lat, lon, country } = locality;
  const text2 = given.replace(nothingYet, "");
  if (text2 === "") return { error: "there is nothing to read", guesses: [] };
  if (beyondCalendars.test(text2)) return { error: "a number in it has more than four digits", guesses: [] };
  if (/SH/.test(text2)) return { error: "school holidays depend on the region, which nobody can set here", guesses: [] };
  if (/PH/.test(text2)) {
    if (country === null) return { error: "holidays depend on the country, which is not set", guesses: [] };
    if (!holidayCountries.has(country))
      return { error: `the public holidays of \u201C${country}\u201D are not known here`, guesses: [] };
  }
  let rules;
  let warnings;
  let tidy;
  try {
    rules = new OpeningRules(text2, { lat, lon, address: { country_code: country ?? "", state: "" } }, readerSettings);
    warnings = rules.getWarnings();
    tidy = rules.prettifyValue();
  } catch (error) {
    const said = error instanceof Error ? error.message : String(error);
    return { error: said.replace(/\s+/g, " ").trim(), guesses: [] };
  }
  if (warnings.some(isTwofold)) {
    return { error: "an hour of it could be one of the morning or of the evening", guesses: [byDay(tidy), tidy] };
  }
  const at = (moment) => {
    const date = onMachine(moment);
    return attempt(() => rules.getUnknown(date) ? "uncertain" : rules.getState(date) ? "open" : "closed", "uncertain");
  };
  return {
    at,
    opensFrom(moment) {
      let now = moment;
      while (at(now) !== "open") {
        const begins = onMachine(now);
        const next = attempt(() => rules.getNextChange(begins, onMachine(moment + aYear)), void 0);
        if (!next) return void 0;
        const changed = offMachine(next);
        if (changed <= now || changed > moment + aYear) return void 0;
        now = changed;
      }
      return now;
    },
    tidy,
    warnings
  };
}
function attempt(work, otherwise) {
  try {
    return work();
  } catch {
    return otherwise;
  }
}
function onMachine(moment) {
  const [date, time2] = formatWallClock(moment).split("T");
  const [year, month, day3] = date.split("-").map(Number);
  const [hour, minute] = time2.split(":").map(Number);
  return new Date(year, month - 1, day3, hour, minute);
}
function offMachine(date) {
  return Date.UTC(date.getFullYear(), date.getMonth(), date.getDate(), date.getHours(), date.getMinutes()) / 6e4;
}

// core/ride/hours-format.ts
var day = "Mo|Tu|We|Th|Fr|Sa|Su";
var days = `(?:${day})(?:-(?:${day}))?`;
var time = String.raw`\d\d:\d\d`;
var span = `${time}-${time}`;
var rule = new RegExp(`^(?:(${days}(?:,\\s*${days})*) )?(${span}(?:,\\s*${span})?)$`);

// core/ride/visit.ts
var mostKept = 200;
var goesByTheSun = /sun|dawn|dusk/i;
var sunDegrees = 0.1;
var OpeningCache = class {
  /** The one used last at the end. */
  read = /* @__PURE__ */ new Map();
  /** The opening meant by some words; undefined where there are none, or none that can be read. */
  find(text2, { lat, lon, country }) {
    if (text2.trim() === "") return void 0;
    const rounded = (degrees2) => Math.round(degrees2 / sunDegrees) * sunDegrees;
    const bySun = goesByTheSun.test(text2);
    const locality = bySun ? { lat: rounded(lat), lon: rounded(lon), country } : { lat: 0, lon: 0, country };
    const key = JSON.stringify([text2, locality]);
    const opening = this.read.has(key) ? this.read.get(key) : readable(text2, locality);
    this.read.delete(key);
    this.read.set(key, opening);
    for (const oldest of [...this.read.keys()].slice(0, -mostKept)) this.read.delete(oldest);
    return opening;
  }
  /** How many openings are kept. */
  get size() {
    return this.read.size;
  }
};
function readable(text2, locality) {
  const opening = readOpening(text2, locality);
  return "error" in opening ? void 0 : opening;
}
var sharedOpeningCache = new OpeningCache();

// core/trip/dials.ts
import { z as z21 } from "zod";

// core/fit/force.ts
var defaultHandN = 400;

// core/fit/engagement.ts
var hold = (verdict, reason) => ({ verdict, reason });
var fits = hold("turns", "fits");
var another = hold("cannot", "wrong-profile");

// core/bench/head.ts
import { z as z10 } from "zod";
var fixedHeads = ["hex", "slot", "open-end", "ring", "socket", "spoke-key"];
var openingHeads = ["adjustable", "pliers"];
var numberedHeads = ["hexalobular", "phillips", "pozidriv"];
var namedHeads = ["spline", "valve-core"];
var sizelessHeads = ["chain-pin", "link-pliers"];
var common = {
  /** From the axis to where the hand pulls, mm; 0 for a head with no lever of its own. */
  leverMm: z10.number().min(0).max(1e3).default(80),
  /** How far it stands out of the body it turns with, mm. */
  reachMm: z10.number().min(0).max(500).default(25),
  /** Half the width of the body close to it, mm: the room it needs beside a fastener. */
  bodyMm: z10.number().min(0).max(200).default(8),
  /** Thickness of a jaw, mm; matters between narrow flats only. */
  thickMm: z10.number().min(0).max(60).default(6),
  /** Spun between the fingers like a screwdriver: it sweeps no lever round. */
  spins: z10.boolean().default(false),
  /** Flats by which another spanner turns it, mm; null where the head is turned by its own body. */
  turnedByMm: z10.number().min(3).max(60).nullable().default(null),
  /** Torque it can be set to, N·m, from and to; null where it feels none. */
  setNm: z10.object({ least: z10.number().gt(0).max(300), most: z10.number().gt(0).max(300) }).refine(({ least, most }) => most >= least, {
    message: "a range whose most is not below its least",
    path: ["most"]
  }).nullable().default(null)
};
var headSchema = z10.discriminatedUnion("profile", [
  z10.object({ profile: z10.enum(fixedHeads), size: z10.number().min(0.5).max(60), ...common }),
  z10.object({ profile: z10.enum(openingHeads), size: z10.number().min(0.5).max(80), ...common }),
  z10.object({ profile: z10.enum(numberedHeads), size: z10.number().int().min(0).max(100), ...common }),
  z10.object({
    profile: z10.enum(namedHeads),
    size: z10.string().regex(/^[a-z0-9-]{1,20}$/, 'a short name of letters, digits and hyphens such as "presta"'),
    ...common
  }),
  z10.object({ profile: z10.enum(sizelessHeads), ...common })
]);

// core/bench/measures.ts
import { z as z11 } from "zod";
var measure = (least, most) => z11.number().min(least).max(most).nullable().default(null);
var measuresSchema = z11.object({
  /** Tyre widths that a tube is made for, mm, from and to. */
  fromWidthMm: measure(10, 150),
  toWidthMm: measure(10, 150),
  valve: z11.enum(["presta", "schrader"]).nullable().default(null),
  /** How far a valve stands out above the tube or the rim's bed, mm. */
  stemMm: measure(10, 150),
  /** Length of a cable, mm. */
  lengthMm: measure(100, 5e3),
  /** Gas in a cartridge, g. */
  gasG: measure(1, 100),
  /** Air that a pump draws in with one stroke, mL. */
  strokeMl: measure(5, 2e3),
  /** Energy in the battery of a compressor, Wh. */
  energyWh: measure(0.1, 1e3)
});
var measureNames = Object.keys(measuresSchema.shape);

// core/bench/schema.ts
import { z as z12 } from "zod";
var pinSchema = z12.object({ min: z12.number().int().min(0).max(99), max: z12.number().int().min(0).max(99) }).refine((pin) => pin.max >= pin.min, { message: "a pin whose max is not below its min", path: ["max"] });
var thingSchema = z12.object({
  id: idSchema,
  name: nameSchema,
  massG: z12.number().gt(0).max(2e4),
  count: z12.number().int().min(1).max(99).default(1),
  /** Functions a tool offers, beside what its heads turn. */
  provides: z12.array(idSchema).max(60).default([]),
  /** The ends of a tool that get hold of fasteners. */
  heads: z12.array(headSchema).max(40).default([]),
  /** Its heads come apart, like loose keys: two can be used at once. */
  comesApart: z12.boolean().default(false),
  /** Supply classes it is a stock of, with the amount in one piece. */
  units: z12.record(text(60), z12.number().gt(0).max(1e4)).default({}),
  /** Measures that decide which bike it serves. */
  measures: measuresSchema.prefault({}),
  /** How far it can be trusted, 1 as new: an old tube, opened glue. */
  condition: z12.number().min(0).max(1).default(1),
  pin: pinSchema.nullable().default(null),
  /** The catalogue entry it was taken from. */
  from: text(60).nullable().default(null),
  note: text(1e3).default("")
});
var catalogueItemSchema = z12.object({
  id: idSchema,
  name: z12.string(),
  group: z12.enum(["air and tyres", "chain and gears", "wheels", "brakes", "bolts", "tools", "cloth and cord", "fluids"]),
  massG: z12.number().gt(0),
  provides: z12.array(z12.string()).default([]),
  heads: z12.array(headSchema).default([]),
  comesApart: z12.boolean().default(false),
  units: z12.record(z12.string(), z12.number().gt(0)).default({}),
  measures: measuresSchema.prefault({}),
  source: z12.string().default("planning value")
});

// core/fit/big-wrench.ts
var bigWrench = {
  id: "a big wrench to borrow",
  comesApart: false,
  heads: [headSchema.parse({ profile: "adjustable", size: 36, leverMm: 300, thickMm: 14, bodyMm: 20, reachMm: 40 })]
};

// core/maths/gamma.ts
import gammainc from "@stdlib/math-base-special-gammainc";

// core/reference/schema.ts
import { z as z19 } from "zod";

// core/fix/schema.ts
import { z as z14 } from "zod";

// core/hazard/schema.ts
import { z as z13 } from "zod";
var roadTraits = [...surfaces, "thorns", "wet"];
var bikeTraitSchema = z13.enum(bikeTraits);
var roadTraitSchema = z13.enum(roadTraits);
var appliesSchema = z13.object({ all: z13.array(bikeTraitSchema).default([]), none: z13.array(bikeTraitSchema).default([]) }).prefault({});
var common2 = {
  id: z13.string(),
  name: z13.string(),
  /** Struck once for each bike, or once for each wheel. */
  strikes: z13.enum(["bike", "wheel"]).default("bike"),
  applies: appliesSchema,
  /** Supply class that settles it for good, with the bike's sizes left open: "tube-{bead}". */
  settledBy: z13.string(),
  /** Classes that settle it as well: a patch, a mechanic's hands. */
  alsoSettledBy: z13.array(z13.string()).default([]),
  /** Chance that the bike cannot be ridden with it at all. */
  stops: z13.number().min(0).max(1).default(1),
  /** How much slower the bike is ridden with it otherwise; by the spokes that are left, where it is one of them. */
  limpShare: z13.union([z13.number().min(0).max(5), z13.literal("by spokes")]).default(0.15),
  /** The wheel it strikes, where it is one only. */
  wheel: z13.enum(["front", "rear"]).optional(),
  /** The role of the fasteners of which one fails, each as likely as the others. */
  fastener: z13.string().optional(),
  onBike: z13.array(z13.object({ when: bikeTraitSchema, times: z13.number().gt(0) })).default([]),
  /** As many times as often on a tyre with no tread left as on a new one. */
  onWornTread: z13.number().gt(0).default(1),
  onRoad: z13.array(z13.object({ when: roadTraitSchema, times: z13.number().gt(0) })).default([]),
  /** The share of it that goes by metres descended, and the metres for a km that its rate or its life is meant for. */
  byDescent: z13.object({ share: z13.number().min(0).max(1), mPerKm: z13.number().gt(0) }).optional(),
  caution: z13.string().default(""),
  source: z13.string().default("planning value")
};
var suddenHazardSchema = z13.object({
  kind: z13.literal("sudden"),
  ...common2,
  /** Events per 1000 km, a Gamma belief: its mean and the thousands of km of experience behind it. */
  per1000km: z13.number().gt(0),
  onThousandKm: z13.number().gt(0).default(5)
});
var wearingParts = ["pads", "chain", "tread", "sealant", "lube", "cables"];
var wearingHazardSchema = z13.object({
  kind: z13.literal("wearing"),
  ...common2,
  part: z13.enum(wearingParts),
  /** Mean life of a new one in km of gravel. */
  lifeKm: z13.number().gt(0),
  /** Standard deviation of a life as a share of its mean. */
  spread: z13.number().gt(0).max(1)
});
var hazardSchema = z13.discriminatedUnion("kind", [suddenHazardSchema, wearingHazardSchema]);

// core/fix/schema.ts
var grades = ["lasting", "to the next shop", "walking pace"];
var gradeSchema = z14.enum(grades);
var tyreAmounts = ["to ride", "to seat", "for the tyre"];
var fixSchema = z14.object({
  id: z14.string(),
  name: z14.string(),
  answers: z14.array(z14.string()).min(1),
  applies: appliesSchema,
  /** Functions needed, all of them; the bike's sizes left open: "inflate-{valve}". */
  needs: z14.array(z14.string()).default([]),
  /** Fasteners that must turn, by their role: "hanger-bolt", "axle-{wheel}". */
  turns: z14.array(z14.string()).default([]),
  /** Fasteners that must be turned with a torque key. */
  torques: z14.array(z14.string()).default([]),
  /** Stock used up, class → amount; the bike's sizes left open. */
  uses: z14.record(z14.string(), z14.union([z14.number().gt(0), z14.enum(tyreAmounts)])).default({}),
  /** Links of the chain that it cuts out. */
  cutsLinks: z14.number().int().min(0).max(20).multipleOf(2).default(0),
  /** Pumped by hand: the minutes it takes with this tyre come on top. */
  air: z14.enum(["pump"]).optional(),
  technique: z14.string(),
  minutes: z14.number().gt(0),
  grade: gradeSchema,
  /** Success even with the best hands, for fixes that do not always hold. */
  holds: z14.number().gt(0).max(1).default(1),
  /** How far a make-do that wears on lasts, in the mean, km. Where it is not given, the grade says how often one fails again. */
  lastsKm: z14.number().gt(0).max(1e6).optional(),
  caution: z14.string().default(""),
  source: z14.string().default("planning value")
});

// core/supply/family.ts
import { z as z15 } from "zod";
var variantKinds = ["none", "bead", "speeds", "shape", "length", "kind"];
var fitRules = ["size", "tube", "tyre", "spoke", "brake cable", "shift cable", "valve stem"];
var supplyFamilySchema = z15.object({
  id: z15.string(),
  name: z15.string(),
  variant: z15.enum(variantKinds),
  /** How usual a size is, 0 to 1, for shops that stock the family at all. */
  commonness: z15.record(z15.string(), z15.number().min(0).max(1)).default({}),
  /** The same for sizes not named above. */
  otherwise: z15.number().min(0).max(1).default(1),
  unit: z15.string().default("piece"),
  fitBy: z15.enum(fitRules).default("size"),
  /** What is worth measuring on a piece of it. */
  measures: z15.array(z15.enum(measureNames)).default([]),
  /** Whether it may be sent in a parcel: compressed gas and people may not. */
  goesByPost: z15.boolean().default(true)
});

// core/supply/service.ts
import { z as z16 } from "zod";
var serviceKindSchema = z16.object({
  id: z16.string(),
  name: z16.string(),
  /** Whether a broken bicycle can be settled there, one way or another. */
  mends: z16.boolean(),
  /** The name where there is little room; soft hyphens say where it may be broken. */
  shortName: z16.string().optional(),
  /** Whether it keeps a parcel until it is called for. */
  takesParcels: z16.boolean().default(false),
  stocks: z16.record(z16.string(), z16.number().min(0).max(1))
});
var knownFroms = ["asked", "visited", "map", "hearsay"];
var serviceSchema = z16.object({
  kind: text(40).min(1),
  knownFrom: z16.enum(knownFroms).default("map"),
  /** Opening hours in the OpenStreetMap syntax; empty when unknown. */
  hours: text(200).default(""),
  /** What is known of this very place: class → chance that it is there. */
  stocks: z16.record(text(60), z16.number().min(0).max(1)).default({}),
  /** What one has posted there for oneself: class → amount. */
  parcel: z16.record(text(60), z16.number().gt(0).max(1e4)).default({})
});
var exitKinds = ["train", "bus", "ferry", "lift"];
var stopSchema = z16.object({
  id: idSchema,
  name: nameSchema,
  roadKm: z16.number().min(0),
  offRoadM: z16.number().min(0).max(1e5).default(0),
  services: z16.array(serviceSchema).max(20).default([]),
  exit: z16.enum(exitKinds).nullable().default(null),
  /** Hours one waits for it, on average. */
  exitWaitH: z16.number().min(0).max(168).default(0),
  /** Hours one would wait here for what is shut; null for as long as anywhere. */
  waitH: z16.number().min(0).max(72).nullable().default(null),
  /** Whether a big wrench or a vice can be borrowed. */
  bigWrench: z16.boolean().default(false),
  note: text(1e3).default(""),
  /** What a file says of it beyond its name, as its symbol and its type. */
  hint: text(200).default(""),
  /** What it seems to have by its name and is known not to have: kinds of service, ways out. */
  ruledOut: z16.array(z16.string().regex(/^[a-z-]{1,40}$/, 'a kind of service, as in "bike-shop"')).max(20).default([])
});

// core/supply/counter.ts
import { z as z17 } from "zod";
var counterQuestionSchema = z17.object({
  /** The kind of service. */
  kind: text(40).min(1),
  place: nameSchema,
  /** The part, with its size. */
  classId: idSchema
});
var counterAnswerSchema = z17.discriminatedUnion("answer", [
  /** It lies on the shelf. */
  z17.object({ answer: z17.literal("has") }),
  /** It would be ordered, and be there after some days. */
  z17.object({ answer: z17.literal("orders"), days: z17.number().int().min(1).max(60) }),
  z17.object({ answer: z17.literal("has not") }),
  /** Nobody there will say. */
  z17.object({ answer: z17.literal("will not say"), because: text(200) }),
  /** Nobody is there; when somebody will be, by the clock on the wall, if that is known. */
  z17.object({ answer: z17.literal("shut"), opens: text(16).nullable() })
]);

// core/supply/place-words.ts
import { z as z18 } from "zod";
var placeHasSchema = z18.union([z18.object({ service: z18.string() }), z18.object({ exit: z18.enum(exitKinds) })]);
var placeWordsSchema = z18.object({
  has: placeHasSchema,
  /**
   * Words or phrases in small letters without accents. A star stands for the rest of a word: "fahrrad*", "*werkstatt".
   */
  words: z18.array(z18.string().regex(/^[a-z0-9*]+(?: [a-z0-9*]+)*$/)).transform((phrases) => phrases.map((phrase) => phrase.split(" "))),
  /** Words that, just before or after, say that it is something else: "water street", "coffee shop". */
  butNot: z18.array(z18.string()).default([])
});

// core/reference/schema.ts
var toolFunctionSchema = z19.object({
  id: z19.string(),
  name: z19.string(),
  /** The valve that it pumps up by hand, stroke by stroke. */
  pumps: z19.enum(["presta", "schrader"]).optional()
});
var chance = z19.number().min(0).max(1);
var handRowSchema = z19.tuple([chance, chance, chance, chance]).readonly();
var referenceSchema = z19.object({
  families: z19.array(supplyFamilySchema),
  services: z19.array(serviceKindSchema),
  functions: z19.array(toolFunctionSchema),
  techniques: z19.array(techniqueSchema),
  hazards: z19.array(hazardSchema),
  fixes: z19.array(fixSchema),
  /** How surely hands can do what is easy, medium and hard: never done, watched, done at home, done on the road. */
  hands: z19.object({ easy: handRowSchema, medium: handRowSchema, hard: handRowSchema }),
  /** The chance that a tool works on a trip, by what it is. */
  works: z19.object({ pump: chance, compressor: chance, folding: chance, lever: chance, simple: chance }),
  items: z19.array(catalogueItemSchema),
  /** A bike of each kind, to start a passport from. */
  bikes: z19.array(bikeSchema)
});

// core/reference/planning.ts
import { z as z20 } from "zod";
var ranges = {
  per1000km: { least: 0, most: 1e3 },
  stops: { least: 0, most: 1 },
  limpShare: { least: 0, most: 5 },
  lifeKm: { least: 1, most: 1e6 },
  holds: { least: 0.01, most: 1 },
  lastsKm: { least: 1, most: 1e6 },
  minutes: { least: 0.5, most: 1e3 },
  hands: { least: 0, most: 1 },
  works: { least: 0.01, most: 1 }
};
var shape2 = /^(?:hazards\.[a-z0-9-]{1,40}\.(per1000km|stops|limpShare|lifeKm)|fixes\.[a-z0-9-]{1,40}\.(holds|minutes|lastsKm)|(hands)\.(?:easy|medium|hard)\.[0-3]|(works)\.(?:pump|compressor|folding|lever|simple))$/;
function kindOf(key) {
  const found = shape2.exec(key)?.slice(1).find(Boolean);
  return found === void 0 ? void 0 : found;
}
var planningSchema = z20.record(z20.string().max(80), z20.number()).superRefine((values, context) => {
  for (const [key, value] of Object.entries(values)) {
    const kind = kindOf(key);
    if (!kind) {
      context.addIssue({
        code: "custom",
        path: [key],
        input: key,
        message: 'a planning value of the reference, as in "hands.easy.2"'
      });
    } else if (value < ranges[kind].least || value > ranges[kind].most) {
      const { least, most } = ranges[kind];
      context.addIssue({ code: "custom", path: [key], input: value, message: `a number from ${least} to ${most}` });
    }
  }
});
var planningChangeSchema = z20.object({
  planning: planningSchema.default({}),
  back: z20.array(z20.string().max(80).refine(kindOf, 'a planning value of the reference, as in "hands.easy.2"')).max(500).default([])
});

// core/trip/dials.ts
var reckoningNow = 2;
var dialsSchema = z21.object({
  /** What an hour lost is worth, in grams carried; null until a bench is first weighed, when the road says where to begin. */
  gramsPerHour: z21.number().gt(0).max(1e5).nullable().default(null),
  /** The most the kit may weigh; null for no limit. */
  budgetG: z21.number().min(0).max(1e5).nullable().default(null),
  /** The least chance of having a part for a shop to be counted on. */
  trust: z21.number().min(0).max(1).default(0.6),
  /** Hours one would wait for a shop to open. */
  waitH: z21.number().min(0).max(72).default(3),
  walking: z21.enum(walkingMethods).default("naismith"),
  /** Hours of daylight one can walk in a day; longer walks are nights out. */
  walkHoursPerDay: z21.number().min(1).max(24).default(10),
  /** What a night out costs on top, in hours. */
  nightOutH: z21.number().min(0).max(200).default(3),
  /** What it costs that the ride ends at an exit, in hours. */
  rideOverH: z21.number().min(0).max(1e3).default(12),
  /** Chance that a passer-by with the skill stops; 0 where rules or the road forbid it. */
  helper: z21.number().min(0).max(1).default(0.05),
  /** Hours until a lift comes, where one may be called; null where not. */
  liftWaitH: z21.number().min(0).max(500).nullable().default(null),
  /** The most a hand of the crew gives at the end of a lever, N. */
  handMostN: z21.number().min(50).max(1500).default(defaultHandN),
  /** The reckoning by which the price of an hour was last seen; whoever set it under an older one is told once what is new. */
  reckoning: z21.number().int().min(1).max(reckoningNow).default(1),
  /** Planning values of the reference that somebody knows better. */
  planning: planningSchema.default({})
});
var dialNames = Object.keys(dialsSchema.shape);

// core/trip/schema.ts
import { z as z23 } from "zod";

// core/weather/schema.ts
import { z as z22 } from "zod";
var weatherDaySchema = z22.object({
  date: z22.string().refine((text2) => isWallClock(`${text2}T00:00`), { message: "a date such as 2026-06-12" }),
  lowC: z22.number().min(-60).max(50),
  highC: z22.number().min(-60).max(60),
  rainMm: z22.number().min(0).max(500),
  windKmH: z22.number().min(0).max(300)
}).refine((day3) => day3.highC >= day3.lowC, { message: "a high that is not below the low", path: ["highC"] });
var forecastSchema = z22.object({
  /** Who says so; empty when typed by hand. */
  from: text(120).default(""),
  days: z22.array(weatherDaySchema).max(400).default([])
});

// core/trip/schema.ts
var tripFormat = "rag-tin.trip/3";
var partSchemas = {
  name: text(120).trim().min(1),
  road: roadSchema,
  ride: rideSchema,
  forecast: forecastSchema,
  stops: z23.array(stopSchema).max(1e3),
  bikes: z23.array(bikeSchema).max(20),
  crew: z23.array(riderSchema).max(20),
  bench: z23.array(thingSchema).max(500),
  dials: dialsSchema
};
var partNames = Object.keys(partSchemas);
var tripSchema = z23.object({
  format: z23.literal(tripFormat),
  name: partSchemas.name,
  road: partSchemas.road.default(emptyRoad),
  ride: partSchemas.ride.prefault({}),
  forecast: partSchemas.forecast.prefault({}),
  stops: partSchemas.stops.default([]),
  bikes: partSchemas.bikes.default([]),
  crew: partSchemas.crew.default([]),
  bench: partSchemas.bench.default([]),
  dials: partSchemas.dials.prefault({})
});

// core/trip/revision.ts
import { z as z24 } from "zod";
var revisionSchema = z24.object({ number: z24.number().int().min(0), save: text(36) });

// core/trip/read.ts
var newest = Number(tripFormat.split("/")[1]);

// core/trip/json-schema.ts
import { z as z25 } from "zod";

// catalogue/fasteners.ts
var hex = (size) => ({ profile: "hex", size });
var torx = (size) => ({ profile: "hexalobular", size });
var phillips = (size) => ({ profile: "phillips", size });
var pozidriv = (size) => ({ profile: "pozidriv", size });
var nut = (size) => ({ profile: "flats", size });
var spline = (size) => ({ profile: "spline", size });
var byHand = { profile: "by-hand" };
var idOf = (name) => name.toLowerCase().replace(/[^a-z0-9]+/g, "-");
function fastener(name, part, drive, [least, most], more = {}) {
  return { id: idOf(name), name, part, drive, torqueNm: { least, most }, ...more };
}
var workshop = "bearings: a workshop, and seldom on the road";
var runningGear = (valve, nippleMm = 3.2) => [
  fastener("Chain pin", "chain", { profile: "chain-pin" }, [1, 3], { role: "chain-pin" }),
  fastener("Quick link", "chain", { profile: "quick-link" }, [0, 2], {
    role: "quick-link",
    canWait: "pressed open by hand, or the chain is opened at a pin"
  }),
  fastener("Valve core, front", "front tyre", { profile: "valve-core", size: valve }, [0.2, 0.4], {
    role: "valve-core"
  }),
  fastener("Valve core, rear", "rear tyre", { profile: "valve-core", size: valve }, [0.2, 0.4], { role: "valve-core" }),
  fastener("Nipples, front", "front wheel", { profile: "nipple", size: nippleMm }, [0.5, 1], {
    role: "nipple-front",
    count: 32
  }),
  fastener("Nipples, rear", "rear wheel", { profile: "nipple", size: nippleMm }, [0.5, 1], {
    role: "nipple-rear",
    count: 32
  })
];
var axlesByKey = [
  fastener("Axle, front", "front hub", hex(6), [10, 12], { role: "axle-front" }),
  fastener("Axle, rear", "rear hub", hex(6), [10, 12], { role: "axle-rear" })
];
var axlesByHand = [
  fastener("Quick release, front", "front hub", byHand, [0, 0], { role: "axle-front" }),
  fastener("Quick release, rear", "rear hub", byHand, [0, 0], { role: "axle-rear" })
];
var axleNuts = (mm) => [
  fastener("Axle nuts, front", "front hub", nut(mm), [20, 25], { role: "axle-front", count: 2 }),
  fastener("Axle nuts, rear", "rear hub", nut(mm), [25, 35], { role: "axle-rear", count: 2 })
];
var crankByBolt = [
  fastener("Crank bolts", "crank", hex(8), [40, 48], { role: "crank-bolt", count: 2, recessMm: 12 }),
  fastener("Bottom bracket cups", "bottom bracket", spline("b1"), [35, 50], { count: 2, canWait: workshop })
];
var crankByPinch = [
  fastener("Crank pinch bolts", "crank", hex(5), [12, 14], { role: "crank-bolt", count: 2 }),
  fastener("Crank preload cap", "crank", spline("p1"), [0.7, 1.5], { canWait: "holds once the pinch bolts are tight" }),
  fastener("Bottom bracket cups", "bottom bracket", spline("b2"), [35, 50], { count: 2, canWait: workshop })
];
var chainringBolts = (drive, count) => fastener("Chainring bolts", "chainring", drive, [8, 10], { role: "chainring-bolt", count });
var pedalsByKey = (mm) => fastener("Pedals", "pedals", hex(mm), [30, 35], { role: "pedal", count: 2, recessMm: 14 });
var pedalsByFlats = fastener("Pedals", "pedals", nut(15), [30, 35], {
  role: "pedal",
  count: 2,
  openEndOnly: true,
  gapMm: 6
});
var cleatBolts = (count) => fastener("Cleat bolts", "pedals", hex(4), [4, 6], { role: "cleat-bolt", count, recessMm: 3 });
var cassette = fastener("Cassette lockring", "cassette", spline("c1"), [30, 40], { role: "lockring" });
var derailleur = (pulley, limit, anchor) => [
  fastener("Derailleur bolt", "derailleur", hex(5), [8, 10], { role: "derailleur-bolt" }),
  fastener("Pulley bolts", "derailleur", pulley, [2, 3], { role: "pulley-bolt", count: 2 }),
  fastener("Limit screws", "derailleur", limit, [0, 0.5], { role: "limit-screw", count: 2 }),
  fastener("Shift cable anchor", "derailleur", anchor, [4, 6], { role: "shift-anchor" })
];
var shifterClamp = (drive) => fastener("Shifter clamp", "shifter", drive, [3, 5]);
var discBrakes = (padPin, rotor, rotorBolts) => [
  fastener("Calliper bolts, front", "front brake", hex(5), [6, 8], { role: "calliper", count: 2 }),
  fastener("Calliper bolts, rear", "rear brake", hex(5), [6, 8], { role: "calliper", count: 2 }),
  fastener("Pad pin, front", "front brake", padPin, [1, 3], { role: "pad-pin", recessMm: 4 }),
  fastener("Pad pin, rear", "rear brake", padPin, [1, 3], { role: "pad-pin", recessMm: 4 }),
  fastener("Rotor bolts, front", "front rotor", rotor, [4, 6], { role: "rotor-bolt", count: rotorBolts }),
  fastener("Rotor bolts, rear", "rear rotor", rotor, [4, 6], { role: "rotor-bolt", count: rotorBolts })
];
var cableAnchors = [
  fastener("Brake cable anchor, front", "front brake", hex(5), [6, 8], { role: "brake-anchor" }),
  fastener("Brake cable anchor, rear", "rear brake", hex(5), [6, 8], { role: "brake-anchor" })
];
var rimBrakes = (pad) => [
  fastener("Brake arm bolts, front", "front brake", hex(5), [6, 9], { role: "calliper", count: 2 }),
  fastener("Brake arm bolts, rear", "rear brake", hex(5), [6, 9], { role: "calliper", count: 2 }),
  fastener("Pad nuts, front", "front brake", pad, [5, 7], { role: "pad-pin", count: 2, swingDeg: 100 }),
  fastener("Pad nuts, rear", "rear brake", pad, [5, 7], { role: "pad-pin", count: 2, swingDeg: 100 })
];
var leverClamps = (drive) => fastener("Brake lever clamps", "bar", drive, [4, 6], { count: 2 });
var stem = (face, clamp, more = {}) => [
  fastener("Stem face plate", "stem", face, [5, 6], { role: "stem", count: 4, ...more }),
  fastener("Stem clamp", "stem", clamp, [5, 6], { role: "stem", count: 2, ...more })
];
var headsetCap = (drive) => fastener("Headset cap", "headset", drive, [1, 3], { role: "headset" });
var threadedHeadset = fastener("Headset lock nut", "headset", nut(32), [15, 20], {
  role: "headset-nut"
});
var seat = (clamp, more = {}) => [
  fastener("Seat clamp", "seat post", clamp, [5, 6], { role: "seat-clamp", ...more })
];
var saddleBolts = (drive, count) => fastener("Saddle clamp", "saddle", drive, [10, 14], {
  role: "saddle",
  count,
  recessMm: 22,
  roomMm: 18,
  swingDeg: 140
});
var saddleNuts = (mm) => fastener("Saddle clamp", "saddle", nut(mm), [12, 16], { role: "saddle", count: 2, swingDeg: 90 });
var bottleCages = (count, drive = hex(4)) => fastener("Cage bolts", "mounts", drive, [2, 3], { role: "cage-bolt", count: 2 * count });
var rack = (count) => [
  fastener("Rack bolts", "rack", hex(4), [4, 6], { role: "rack-bolt", count }),
  fastener("Rack stay nuts", "rack", hex(4), [4, 6], { role: "rack-bolt", count: 2, counterhold: nut(8) })
];
var mudguards = (drive) => [
  fastener("Mudguard stays", "mudguards", nut(8), [2, 4], { role: "mudguard-bolt", count: 4, swingDeg: 120 }),
  fastener("Mudguard bridge", "mudguards", drive, [2, 4], { role: "mudguard-bolt", count: 2 })
];
var lights = (drive) => fastener("Light bracket", "lights", drive, [1, 3], { role: "light", count: 2 });
var suspensionFork = [
  fastener("Fork air cap", "fork", { profile: "valve-core", size: "schrader" }, [0.2, 0.4], {
    canWait: "wants a shock pump, and rides low without"
  }),
  fastener("Fork lowers", "fork", hex(5), [6, 10], { count: 2, canWait: workshop })
];
var pivots = [
  fastener("Main pivot", "pivots", hex(6), [14, 18], { role: "pivot", count: 1 }),
  fastener("Link pivots", "pivots", hex(5), [10, 14], { role: "pivot", count: 4 }),
  fastener("Shock bolts", "shock", hex(5), [9, 12], { role: "pivot", count: 2 })
];

// catalogue/bikes.ts
var tyre = (size, tubeless, protection = "normal") => ({
  front: { size, tubeless, protection },
  rear: { size, tubeless, protection }
});
var wheels = (erdMm, holes, crossings, front, rear) => {
  const wheel = ([leftMm, leftOffsetMm, rightMm, rightOffsetMm]) => ({
    erdMm,
    holes,
    crossings,
    left: { flangeMm: leftMm, offsetMm: leftOffsetMm },
    right: { flangeMm: rightMm, offsetMm: rightOffsetMm }
  });
  return { front: wheel(front), rear: wheel(rear) };
};
var discFront = [58, 21, 45, 34];
var discRear = [58, 34, 54, 19];
var rimFront = [38, 35, 38, 35];
var rimRear = [45, 37, 45, 18];
var carbon = { wantsTorqueKey: true };
var trailGear = [
  ...runningGear("presta"),
  ...axlesByKey,
  ...crankByBolt,
  chainringBolts(torx(25), 3),
  pedalsByKey(8),
  cassette,
  fastener("Hanger bolt", "derailleur", hex(8), [20, 25], { role: "hanger-bolt" }),
  ...derailleur(torx(25), hex(3), hex(5)),
  ...discBrakes(hex(3), torx(25), 6),
  shifterClamp(torx(25)),
  leverClamps(torx(25))
];
var starts = {
  gravel: {
    name: "Gravel bike",
    frame: {
      shape: "sloping",
      material: "carbon",
      bar: "drop",
      wheelbaseMm: 1035,
      chainstayMm: 430,
      dropMm: 75,
      headAngleDeg: 71,
      seatAngleDeg: 73.5,
      stackMm: 590,
      headTubeMm: 150,
      seatTubeMm: 500,
      saddleMm: 735
    },
    tyres: tyre("45-622", true),
    rims: { front: { hooked: false, depthMm: 24, mostBar: 5 }, rear: { hooked: false, depthMm: 24, mostBar: 5 } },
    wheels: wheels(596, 28, 2, discFront, discRear),
    speeds: 12,
    chainrings: [40],
    sprockets: [10, 11, 13, 15, 17, 19, 21, 24, 28, 32, 38, 44],
    brakes: "hydraulic-disc",
    pedals: "two-bolt",
    bottleMounts: 3,
    pushFactor: 1.15,
    fasteners: [
      ...runningGear("presta"),
      ...axlesByKey,
      ...crankByPinch,
      chainringBolts(torx(30), 4),
      pedalsByKey(8),
      cleatBolts(4),
      cassette,
      fastener("Hanger bolts", "derailleur", hex(4), [1.5, 2.5], { role: "hanger-bolt", count: 2 }),
      ...derailleur(hex(3), hex(2), hex(4)),
      ...discBrakes(hex(3), torx(25), 6),
      shifterClamp(hex(5)),
      ...stem(hex(4), hex(4), carbon),
      headsetCap(hex(5)),
      ...seat(hex(5), carbon),
      saddleBolts(hex(5), 2),
      bottleCages(3),
      lights(hex(4))
    ]
  },
  "hard-tail": {
    name: "Hard-tail",
    frame: {
      shape: "sloping",
      bar: "flat",
      wheelbaseMm: 1175,
      chainstayMm: 440,
      dropMm: 60,
      headAngleDeg: 66.5,
      seatAngleDeg: 74.5,
      stackMm: 640,
      headTubeMm: 115,
      seatTubeMm: 450,
      saddleMm: 735
    },
    tyres: tyre("57-622", true),
    rims: { front: { hooked: false, depthMm: 19 }, rear: { hooked: false, depthMm: 19 } },
    wheels: wheels(602, 32, 3, discFront, discRear),
    speeds: 12,
    chainrings: [32],
    sprockets: [10, 12, 14, 16, 18, 21, 24, 28, 33, 39, 45, 51],
    brakes: "hydraulic-disc",
    padShape: "b2",
    suspension: { forkMm: 120 },
    bottleMounts: 2,
    pushFactor: 1.2,
    fasteners: [
      ...trailGear,
      ...stem(hex(4), hex(4)),
      headsetCap(hex(5)),
      ...seat(hex(4)),
      fastener("Dropper lever", "bar", hex(4), [3, 5]),
      saddleBolts(hex(4), 2),
      bottleCages(2),
      ...suspensionFork,
      lights(hex(2.5))
    ]
  },
  "full-suspension": {
    name: "Full suspension",
    frame: {
      shape: "full-suspension",
      material: "carbon",
      bar: "flat",
      wheelbaseMm: 1215,
      chainstayMm: 440,
      dropMm: 35,
      headAngleDeg: 65.5,
      seatAngleDeg: 76,
      stackMm: 625,
      headTubeMm: 110,
      seatTubeMm: 440,
      saddleMm: 740
    },
    tyres: tyre("60-622", true, "tough"),
    rims: { front: { hooked: false, depthMm: 20 }, rear: { hooked: false, depthMm: 20 } },
    wheels: wheels(600, 28, 3, discFront, discRear),
    speeds: 12,
    chainrings: [32],
    sprockets: [10, 12, 14, 16, 18, 21, 24, 28, 33, 39, 45, 52],
    brakes: "hydraulic-disc",
    padShape: "b2",
    padCompound: "sintered",
    suspension: { forkMm: 140, rearMm: 130 },
    bottleMounts: 1,
    pushFactor: 1.25,
    storage: [{ name: "Hatch in the down tube", volumeMl: 700, longestMm: 320 }],
    fasteners: [
      ...trailGear,
      ...stem(hex(5), hex(5), carbon),
      headsetCap(hex(5)),
      ...seat(hex(5), carbon),
      saddleBolts(hex(5), 2),
      ...pivots,
      bottleCages(1),
      ...suspensionFork
    ]
  },
  tourer: {
    name: "Road tourer with racks",
    frame: {
      shape: "diamond",
      material: "steel",
      bar: "drop",
      wheelbaseMm: 1065,
      chainstayMm: 455,
      dropMm: 77,
      headAngleDeg: 71.5,
      seatAngleDeg: 73,
      stackMm: 605,
      headTubeMm: 165,
      seatTubeMm: 560,
      saddleMm: 735
    },
    tyres: tyre("40-622", false, "tough"),
    rims: { front: { depthMm: 16 }, rear: { depthMm: 16 } },
    wheels: wheels(604, 36, 3, rimFront, rimRear),
    speeds: 10,
    chainrings: [26, 36, 48],
    sprockets: [11, 13, 15, 17, 19, 21, 23, 26, 30, 34],
    brakes: "rim",
    padShape: "r1",
    padCompound: "rubber",
    racks: { front: true, rear: true },
    mudguards: true,
    leatherSaddle: true,
    lights: "dynamo",
    bottleMounts: 3,
    pushFactor: 1.25,
    cables: { frontBrakeMm: 900, rearBrakeMm: 1700, rearShiftMm: 1900, frontShiftMm: 1500 },
    fasteners: [
      ...runningGear("presta"),
      ...axlesByHand,
      ...crankByBolt,
      chainringBolts(hex(5), 5),
      pedalsByFlats,
      cassette,
      ...derailleur(hex(3), phillips(2), hex(5)),
      fastener("Front derailleur", "derailleur", hex(5), [5, 7], { count: 2 }),
      ...rimBrakes(hex(5)),
      ...cableAnchors,
      shifterClamp(hex(5)),
      ...stem(hex(5), hex(6)),
      threadedHeadset,
      ...seat(hex(5)),
      saddleNuts(13),
      fastener("Saddle tension", "saddle", nut(14), [2, 5], { canWait: "a leather saddle sags slowly" }),
      ...rack(8),
      ...mudguards(hex(4)),
      bottleCages(3),
      lights(nut(10))
    ]
  },
  folder: {
    name: "Small-wheel folder",
    frame: {
      shape: "folding",
      material: "aluminium",
      bar: "upright",
      wheelbaseMm: 1010,
      chainstayMm: 390,
      dropMm: -60,
      headAngleDeg: 72.5,
      seatAngleDeg: 72,
      stackMm: 400,
      headTubeMm: 120,
      seatTubeMm: 330,
      saddleMm: 690
    },
    tyres: tyre("40-406", false),
    rims: { front: { depthMm: 14, wideValveHole: true }, rear: { depthMm: 14, wideValveHole: true } },
    valve: "schrader",
    wheels: wheels(388, 28, 2, [38, 30, 38, 30], [45, 33, 45, 19]),
    speeds: 9,
    chainrings: [52],
    sprockets: [11, 12, 14, 16, 18, 21, 24, 28, 32],
    brakes: "rim",
    padShape: "r1",
    padCompound: "rubber",
    racks: { rear: true },
    mudguards: true,
    bottleMounts: 1,
    pushFactor: 1.15,
    fasteners: [
      ...runningGear("schrader"),
      ...axleNuts(15),
      ...crankByBolt,
      chainringBolts(hex(5), 5),
      pedalsByFlats,
      cassette,
      fastener("Hanger bolt", "derailleur", nut(10), [8, 10], { role: "hanger-bolt" }),
      ...derailleur(hex(3), pozidriv(2), hex(5)),
      ...rimBrakes(nut(10)),
      fastener("Brake cable anchor, front", "front brake", nut(10), [6, 8], { role: "brake-anchor" }),
      fastener("Brake cable anchor, rear", "rear brake", nut(10), [6, 8], { role: "brake-anchor" }),
      shifterClamp(pozidriv(2)),
      ...stem(hex(5), hex(6)),
      threadedHeadset,
      ...seat(nut(13)),
      saddleBolts(hex(6), 1),
      fastener("Hinge of the frame", "hinges", hex(5), [8, 10], { role: "hinge" }),
      fastener("Hinge of the handlepost", "hinges", hex(6), [8, 10], { role: "hinge" }),
      ...rack(4),
      ...mudguards(pozidriv(2)),
      bottleCages(1),
      lights(pozidriv(1))
    ]
  },
  "fat-electric": {
    name: "Fat-tyred e-bike",
    frame: {
      shape: "step-through",
      material: "aluminium",
      bar: "flat",
      wheelbaseMm: 1190,
      chainstayMm: 465,
      dropMm: 60,
      headAngleDeg: 68.5,
      seatAngleDeg: 73.5,
      stackMm: 640,
      headTubeMm: 150,
      seatTubeMm: 450,
      saddleMm: 720
    },
    tyres: tyre("100-559", false, "tough"),
    rims: {
      front: { depthMm: 18, wideValveHole: true, mostBar: 2 },
      rear: { depthMm: 18, wideValveHole: true, mostBar: 2 }
    },
    valve: "schrader",
    wheels: wheels(540, 32, 3, [58, 38, 58, 42], [58, 48, 58, 40]),
    speeds: 9,
    chainrings: [38],
    sprockets: [11, 13, 15, 18, 21, 24, 28, 32, 36],
    brakes: "hydraulic-disc",
    padShape: "b3",
    padCompound: "sintered",
    motor: "mid",
    batteryWh: 630,
    racks: { rear: true },
    mudguards: true,
    bottleMounts: 1,
    pushFactor: 1.9,
    fasteners: [
      ...runningGear("schrader", 3.4),
      fastener("Axle, front", "front hub", hex(6), [12, 15], { role: "axle-front" }),
      fastener("Axle nuts, rear", "rear hub", nut(18), [35, 40], { role: "axle-rear", count: 2 }),
      ...crankByBolt,
      fastener("Chainring lockring", "chainring", { profile: "spline", size: "m1" }, [35, 45], {
        canWait: "the maker\u2019s own tool, in a workshop"
      }),
      pedalsByFlats,
      cassette,
      fastener("Hanger bolts", "derailleur", hex(5), [3, 5], { role: "hanger-bolt", count: 2 }),
      ...derailleur(hex(3), phillips(2), hex(5)),
      ...discBrakes(hex(3), torx(25), 6),
      shifterClamp(hex(5)),
      leverClamps(hex(5)),
      ...stem(hex(5), hex(5)),
      headsetCap(hex(5)),
      ...seat(hex(6)),
      saddleBolts(hex(6), 1),
      fastener("Battery rail", "battery", torx(25), [3, 5], { count: 3 }),
      fastener("Motor mounts", "motor", torx(30), [15, 20], { count: 4, canWait: "the motor belongs to a workshop" }),
      fastener("Motor cover", "motor", phillips(2), [0.5, 1], { count: 4 }),
      ...rack(4),
      ...mudguards(hex(4)),
      bottleCages(1)
    ]
  },
  "single-speed": {
    name: "Single-speed",
    frame: {
      shape: "diamond",
      material: "steel",
      bar: "upright",
      wheelbaseMm: 1050,
      chainstayMm: 440,
      dropMm: 68,
      headAngleDeg: 71.5,
      seatAngleDeg: 73,
      stackMm: 600,
      headTubeMm: 140,
      seatTubeMm: 540,
      saddleMm: 730
    },
    tyres: tyre("42-622", false),
    rims: { front: { depthMm: 18 }, rear: { depthMm: 18 } },
    wheels: wheels(600, 32, 3, discFront, [58, 34, 58, 34]),
    gears: "single",
    shifting: "none",
    speeds: 1,
    chainrings: [40],
    sprockets: [18],
    brakes: "cable-disc",
    bottleMounts: 2,
    pushFactor: 1.1,
    cables: { frontBrakeMm: 900, rearBrakeMm: 1600 },
    fasteners: [
      ...runningGear("presta"),
      fastener("Axle, front", "front hub", hex(6), [10, 12], { role: "axle-front" }),
      fastener("Axle nuts, rear", "rear hub", nut(15), [30, 38], { role: "axle-rear", count: 2 }),
      fastener("Chain tensioners", "rear hub", nut(8), [1, 3], { role: "tensioner", count: 2 }),
      ...crankByBolt,
      chainringBolts(hex(5), 4),
      pedalsByFlats,
      fastener("Freewheel", "cassette", { profile: "spline", size: "f1" }, [30, 40], {
        canWait: "it screws itself tight as one rides"
      }),
      ...discBrakes(hex(3), torx(25), 6),
      ...cableAnchors,
      leverClamps(hex(5)),
      ...stem(hex(4), hex(5)),
      headsetCap(hex(5)),
      ...seat(hex(5)),
      saddleBolts(hex(6), 1),
      bottleCages(2),
      lights(hex(4))
    ]
  }
};
var bikeStarts = bikeKinds.map((id) => ({ id, name: starts[id].name }));
var bikes = bikeStarts.map(({ id }) => bikeFrom(id, id));
function bikeFrom(kind, id) {
  return bikeSchema.parse({ ...starts[kind], kind, id });
}

// catalogue/services.ts
import { z as z26 } from "zod";
var written2 = [
  {
    id: "bike-shop",
    name: "bike shop",
    mends: true,
    stocks: {
      tube: 0.98,
      tyre: 0.92,
      patch: 0.98,
      "sticker-patch": 0.9,
      boot: 0.7,
      plug: 0.85,
      sealant: 0.9,
      cartridge: 0.85,
      "valve-core": 0.85,
      "quick-link": 0.92,
      "chain-piece": 0.9,
      chain: 0.92,
      hanger: 1,
      derailleur: 0.8,
      "pulley-bolt": 0.85,
      "shift-cable": 0.98,
      "brake-cable": 0.98,
      "brake-pads": 0.9,
      spoke: 0.9,
      "fibre-spoke": 0.1,
      "rack-bolt": 0.95,
      "cleat-bolt": 0.9,
      cleat: 0.85,
      "seat-bolt": 0.85,
      "rotor-bolt": 0.85,
      "zip-tie": 0.95,
      strap: 0.8,
      tape: 0.8,
      glue: 0.6,
      lube: 0.98,
      mechanic: 0.95,
      "tubeless-valve": 0.85
    }
  },
  {
    id: "workshop",
    name: "village workshop",
    shortName: "work\xADshop",
    mends: true,
    stocks: {
      tube: 0.4,
      patch: 0.7,
      "brake-cable": 0.5,
      "shift-cable": 0.35,
      "rack-bolt": 0.9,
      "seat-bolt": 0.6,
      "zip-tie": 0.9,
      tape: 0.95,
      wire: 0.95,
      glue: 0.8,
      lube: 0.9,
      strap: 0.7,
      mechanic: 0.7
    }
  },
  {
    id: "hardware-store",
    name: "hardware store",
    shortName: "hard\xADware",
    mends: false,
    stocks: {
      tube: 0.3,
      patch: 0.7,
      "rack-bolt": 0.95,
      "seat-bolt": 0.6,
      "zip-tie": 0.98,
      tape: 0.98,
      strap: 0.9,
      thread: 0.8,
      glue: 0.95,
      wire: 0.98,
      lube: 0.7
    }
  },
  {
    id: "outdoor-shop",
    name: "outdoor shop",
    shortName: "out\xADdoor",
    mends: false,
    stocks: { tube: 0.5, patch: 0.65, "zip-tie": 0.6, strap: 0.95, tape: 0.9, thread: 0.85, glue: 0.8, lube: 0.4 }
  },
  {
    id: "supermarket",
    name: "supermarket",
    shortName: "food",
    mends: false,
    stocks: { tube: 0.25, patch: 0.3, "zip-tie": 0.5, tape: 0.85, thread: 0.8, glue: 0.8 }
  },
  {
    id: "fuel-station",
    name: "fuel station",
    shortName: "fuel",
    mends: false,
    stocks: { tube: 0.1, patch: 0.25, "zip-tie": 0.7, tape: 0.85, glue: 0.6, strap: 0.6, lube: 0.3 }
  },
  { id: "post", name: "post pick-up", shortName: "post", takesParcels: true, mends: false, stocks: {} },
  { id: "water", name: "water", mends: false, stocks: {} },
  // Where one sleeps under a roof there is a socket.
  { id: "bed", name: "bed", mends: false, stocks: { charge: 0.9 } }
];
var services = z26.array(serviceKindSchema).parse(written2);

// catalogue/items.ts
import { z as z27 } from "zod";

// catalogue/heads.ts
var folded = { leverMm: 65, reachMm: 24, bodyMm: 14 };
var folding = (profile, ...sizes) => sizes.map((size) => ({ profile, size, ...folded }));
var foldingEnd = (head) => ({ ...folded, ...head });
var keyArmsMm = {
  1.5: [45, 14],
  2: [50, 16],
  2.5: [56, 18],
  3: [63, 20],
  4: [70, 25],
  5: [80, 28],
  6: [90, 32],
  8: [100, 36],
  10: [112, 40]
};
var keys = (...sizes) => sizes.map((size) => {
  const [leverMm, reachMm] = defined(keyArmsMm[size]);
  return { profile: "hex", size, leverMm, reachMm, bodyMm: size };
});
var bits = (profile, ...sizes) => sizes.map((size) => ({ profile, size, leverMm: 55, reachMm: 25, bodyMm: 7 }));
var driver = (profile, size) => ({
  profile,
  size,
  leverMm: 14,
  reachMm: 30,
  bodyMm: 10,
  spins: true
});
var spanner = (profile, size, leverMm, thickMm) => ({
  profile,
  size,
  leverMm,
  reachMm: 12,
  bodyMm: size * 0.8,
  thickMm
});
var nippleKeys = (...sizes) => sizes.map((size) => ({ profile: "spoke-key", size, leverMm: 16, reachMm: 10, bodyMm: 8 }));
var chainBreaker = { profile: "chain-pin", leverMm: 35, spins: true };
var linkPliers = { profile: "link-pliers", leverMm: 60 };
var coreKeys = (...kinds) => kinds.map((size) => ({ profile: "valve-core", size, leverMm: 9, reachMm: 20, bodyMm: 5, spins: true }));
var gripping = (opensMm) => ({
  profile: "pliers",
  size: opensMm,
  leverMm: 90,
  thickMm: 5,
  bodyMm: 15
});

// catalogue/items.ts
var tube = (fromWidthMm, toWidthMm, valve, stemMm) => ({
  fromWidthMm,
  toWidthMm,
  valve,
  stemMm
});
var written3 = [
  // air and tyres
  { id: "mini-pump", name: "Mini pump", group: "air and tyres", massG: 105, provides: ["inflate-presta", "inflate-schrader"], measures: { strokeMl: 42 } },
  { id: "hose-pump", name: "Mini pump with hose", group: "air and tyres", massG: 145, provides: ["inflate-presta", "inflate-schrader"], measures: { strokeMl: 55 } },
  { id: "foot-pump", name: "Pump with foot, hose and gauge", group: "air and tyres", massG: 245, provides: ["inflate-presta", "inflate-schrader"], measures: { strokeMl: 95 } },
  { id: "compressor", name: "Rechargeable compressor", group: "air and tyres", massG: 390, provides: ["compress-presta", "compress-schrader"], units: { charge: 24 }, measures: { energyWh: 24 } },
  { id: "co2-head", name: "CO2 head", group: "air and tyres", massG: 22, provides: ["burst-presta", "burst-schrader"] },
  { id: "co2-16", name: "CO2 cartridge, 16 g", group: "air and tyres", massG: 58, units: { cartridge: 1 }, measures: { gasG: 16 } },
  { id: "co2-25", name: "CO2 cartridge, 25 g", group: "air and tyres", massG: 92, units: { cartridge: 1 }, measures: { gasG: 25 } },
  { id: "tube-622-light", name: "Tube 622 \xD7 28\u201347, light", group: "air and tyres", massG: 105, units: { "tube-622": 1 }, measures: tube(28, 47, "presta", 48) },
  { id: "tube-622", name: "Tube 622 \xD7 40\u201360", group: "air and tyres", massG: 195, units: { "tube-622": 1 }, measures: tube(40, 60, "presta", 42) },
  { id: "tube-584", name: "Tube 584 \xD7 50\u201364", group: "air and tyres", massG: 205, units: { "tube-584": 1 }, measures: tube(50, 64, "presta", 42) },
  { id: "tube-559", name: "Tube 559 \xD7 47\u201357", group: "air and tyres", massG: 190, units: { "tube-559": 1 }, measures: tube(47, 57, "presta", 42) },
  { id: "tube-406", name: "Tube 406 \xD7 40\u201350", group: "air and tyres", massG: 115, units: { "tube-406": 1 }, measures: tube(40, 50, "schrader", 35) },
  { id: "tube-349", name: "Tube 349 \xD7 32\u201337", group: "air and tyres", massG: 85, units: { "tube-349": 1 }, measures: tube(32, 37, "schrader", 35) },
  { id: "tube-622-wide", name: "Tube 622 \xD7 57\u201376", group: "air and tyres", massG: 245, units: { "tube-622": 1 }, measures: tube(57, 76, "presta", 42) },
  { id: "tube-622-schrader", name: "Tube 622 \xD7 40\u201360, Schrader", group: "air and tyres", massG: 200, units: { "tube-622": 1 }, measures: tube(40, 60, "schrader", 40) },
  { id: "tube-559-fat", name: "Tube 559 \xD7 95\u2013120, Schrader", group: "air and tyres", massG: 420, units: { "tube-559": 1 }, measures: tube(95, 120, "schrader", 35) },
  { id: "tyre-622", name: "Folding tyre 45-622", group: "air and tyres", massG: 480, units: { "tyre-622": 1 }, measures: { toWidthMm: 45 } },
  { id: "tyre-584", name: "Folding tyre 57-584", group: "air and tyres", massG: 640, units: { "tyre-584": 1 }, measures: { toWidthMm: 57 } },
  { id: "patch-kit", name: "Patch kit, glued, 6 patches", group: "air and tyres", massG: 26, units: { patch: 6 } },
  { id: "patch-kit-long", name: "Patch kit for months, 19 patches", group: "air and tyres", massG: 52, units: { patch: 19, glue: 2 } },
  { id: "sticker-patches", name: "Self-stick patches, 6", group: "air and tyres", massG: 8, units: { "sticker-patch": 6 } },
  { id: "levers-two", name: "Tyre levers, plastic, two", group: "air and tyres", massG: 24, provides: ["lever"] },
  { id: "lever-strong", name: "Tyre lever, one strong", group: "air and tyres", massG: 17, provides: ["lever"] },
  { id: "boot", name: "Tyre boot, adhesive", group: "air and tyres", massG: 9, units: { boot: 1 } },
  { id: "boot-cloth", name: "Square of old tyre", group: "air and tyres", massG: 14, units: { boot: 1 } },
  { id: "plug-kit", name: "Plug tool with 5 plugs", group: "air and tyres", massG: 28, provides: ["plug-tyre"], units: { plug: 5 } },
  { id: "plugs", name: "Plugs, six spare", group: "air and tyres", massG: 9, units: { plug: 6 } },
  { id: "sealant-60", name: "Sealant, 60 mL bottle", group: "air and tyres", massG: 76, units: { sealant: 60 } },
  { id: "core-tool", name: "Valve core tool", group: "air and tyres", massG: 5, heads: coreKeys("presta", "schrader") },
  { id: "core-presta", name: "Presta core", group: "air and tyres", massG: 2, units: { "valve-core-presta": 1 } },
  { id: "core-schrader", name: "Schrader core", group: "air and tyres", massG: 1, units: { "valve-core-schrader": 1 } },
  { id: "valve-44", name: "Tubeless valve, 44 mm", group: "air and tyres", massG: 6, units: { "tubeless-valve": 1 }, measures: { stemMm: 44, valve: "presta" } },
  // chain and gears
  { id: "link-11", name: "Quick link, 11-speed", group: "chain and gears", massG: 3, units: { "quick-link-11": 1 } },
  { id: "link-12", name: "Quick link, 12-speed", group: "chain and gears", massG: 3, units: { "quick-link-12": 1 } },
  { id: "link-10", name: "Quick link, 10-speed", group: "chain and gears", massG: 3, units: { "quick-link-10": 1 } },
  { id: "link-9", name: "Quick link, 9-speed", group: "chain and gears", massG: 4, units: { "quick-link-9": 1 } },
  { id: "piece-11", name: "Piece of chain, 6 links, 11-speed", group: "chain and gears", massG: 14, units: { "chain-piece-11": 1 } },
  { id: "piece-12", name: "Piece of chain, 6 links, 12-speed", group: "chain and gears", massG: 14, units: { "chain-piece-12": 1 } },
  { id: "chain-11", name: "Spare chain, 11-speed", group: "chain and gears", massG: 262, units: { "chain-11": 1 } },
  { id: "chain-12", name: "Spare chain, 12-speed", group: "chain and gears", massG: 255, units: { "chain-12": 1 } },
  { id: "breaker", name: "Chain breaker", group: "chain and gears", massG: 68, heads: [chainBreaker] },
  { id: "link-pliers", name: "Link pliers, small", group: "chain and gears", massG: 42, heads: [linkPliers] },
  { id: "hanger", name: "Derailleur hanger", group: "chain and gears", massG: 21, units: { "hanger-a1": 1 } },
  { id: "pulley", name: "Pulley with bolt", group: "chain and gears", massG: 16, units: { "pulley-bolt": 1 } },
  { id: "shift-cable", name: "Shift cable, inner", group: "chain and gears", massG: 18, units: { "shift-cable": 1 }, measures: { lengthMm: 2100 } },
  // brakes
  { id: "brake-cable", name: "Brake cable, inner", group: "brakes", massG: 24, units: { "brake-cable": 1 }, measures: { lengthMm: 1700 } },
  { id: "pads-b1", name: "Disc pads, shape B1, sintered", group: "brakes", massG: 27, units: { "brake-pads-b1": 1 } },
  { id: "pads-b2", name: "Disc pads, shape B2, sintered", group: "brakes", massG: 29, units: { "brake-pads-b2": 1 } },
  { id: "pads-b3", name: "Disc pads, shape B3, sintered", group: "brakes", massG: 31, units: { "brake-pads-b3": 1 } },
  { id: "pads-r1", name: "Rim brake pads, pair", group: "brakes", massG: 38, units: { "brake-pads-r1": 1 } },
  { id: "rotor-bolts", name: "Rotor bolts, three", group: "brakes", massG: 6, units: { "rotor-bolt": 3 } },
  // wheels
  { id: "spoke", name: "Spoke with nipple, 290 mm", group: "wheels", massG: 7, units: { "spoke-290": 1 } },
  { id: "spoke-288", name: "Spoke with nipple, 288 mm", group: "wheels", massG: 7, units: { "spoke-288": 1 } },
  { id: "fibre-spoke", name: "Fibre spoke", group: "wheels", massG: 11, units: { "fibre-spoke": 1 } },
  { id: "spoke-key", name: "Spoke key, 3.2 mm", group: "wheels", massG: 14, heads: nippleKeys(3.2) },
  { id: "spoke-key-four", name: "Spoke key, four sizes", group: "wheels", massG: 32, heads: nippleKeys(3.2, 3.3, 3.4, 3.9) },
  { id: "lockring-tool", name: "Lockring tool that works against the frame", group: "wheels", massG: 18, heads: [{ profile: "spline", size: "c1", leverMm: 170, reachMm: 30, bodyMm: 20 }] },
  { id: "lockring-socket", name: "Lockring socket, to be turned by a big wrench", group: "wheels", massG: 42, heads: [{ profile: "spline", size: "c1", leverMm: 0, turnedByMm: 24, reachMm: 30, bodyMm: 14 }] },
  // bolts
  { id: "rack-bolts", name: "M5 bolts, three", group: "bolts", massG: 12, units: { "rack-bolt": 3 } },
  { id: "cleat", name: "Cleat, two bolts", group: "bolts", massG: 24, units: { "cleat-two": 1 } },
  { id: "cleat-three", name: "Cleat, three bolts", group: "bolts", massG: 38, units: { "cleat-three": 1 } },
  { id: "cleat-bolts", name: "Cleat bolts with washer, two", group: "bolts", massG: 10, units: { "cleat-bolt": 2 } },
  { id: "seat-bolt", name: "Seat-clamp bolt", group: "bolts", massG: 7, units: { "seat-bolt": 1 } },
  // tools
  { id: "folding-17", name: "Folding tool, 17 functions", group: "tools", massG: 168, heads: [...folding("hex", 2, 2.5, 3, 4, 5, 6, 8), ...folding("hexalobular", 25, 30), ...folding("phillips", 2), ...folding("slot", 4), foldingEnd(chainBreaker), ...nippleKeys(3.2, 3.4), foldingEnd({ profile: "open-end", size: 8, thickMm: 4 }), foldingEnd({ profile: "open-end", size: 10, thickMm: 4 }), foldingEnd(linkPliers)] },
  { id: "folding-9", name: "Folding tool, 9 functions", group: "tools", massG: 96, heads: [...folding("hex", 2.5, 3, 4, 5, 6, 8), ...folding("hexalobular", 25), ...folding("phillips", 2), ...folding("slot", 4)] },
  { id: "key-set", name: "Hex keys, loose, 2 to 6", group: "tools", massG: 94, heads: keys(2, 2.5, 3, 4, 5, 6), comesApart: true },
  { id: "key-4", name: "Hex key 4 mm", group: "tools", massG: 13, heads: keys(4) },
  { id: "key-5", name: "Hex key 5 mm", group: "tools", massG: 22, heads: keys(5) },
  { id: "key-6", name: "Hex key 6 mm", group: "tools", massG: 34, heads: keys(6) },
  { id: "key-8", name: "Hex key 8 mm, long", group: "tools", massG: 66, heads: [{ profile: "hex", size: 8, leverMm: 180, reachMm: 40, bodyMm: 8 }] },
  { id: "stub-8", name: "Stub 8 mm on a 6 mm key", group: "tools", massG: 18, heads: [{ profile: "hex", size: 8, leverMm: 65, reachMm: 20, bodyMm: 8 }] },
  { id: "torx-25", name: "Key T25", group: "tools", massG: 14, heads: [{ profile: "hexalobular", size: 25, leverMm: 70, reachMm: 22, bodyMm: 5 }] },
  { id: "torx-30", name: "Key T30", group: "tools", massG: 19, heads: [{ profile: "hexalobular", size: 30, leverMm: 80, reachMm: 24, bodyMm: 6 }] },
  { id: "bit-set", name: "Bit holder with 8 bits", group: "tools", massG: 112, heads: [...bits("hex", 2.5, 3, 4, 5, 6), ...bits("hexalobular", 25), ...bits("phillips", 2), ...bits("slot", 4)] },
  { id: "pozidriv-bits", name: "Bits Pozidriv 1 and 2", group: "tools", massG: 11, heads: [driver("pozidriv", 1), driver("pozidriv", 2)], comesApart: true },
  { id: "screwdriver", name: "Stub screwdriver, Phillips 2 and slot", group: "tools", massG: 28, heads: [driver("phillips", 2), driver("slot", 4)] },
  { id: "torque-key", name: "Torque key, 4 to 6 N\xB7m", group: "tools", massG: 135, heads: [4, 5].map((size) => ({ profile: "hex", size, leverMm: 80, reachMm: 25, bodyMm: 9, setNm: { least: 4, most: 6 } })) },
  { id: "adjustable", name: "Adjustable spanner, 10 cm", group: "tools", massG: 72, heads: [{ profile: "adjustable", size: 16, leverMm: 95, reachMm: 15, bodyMm: 14, thickMm: 8 }] },
  { id: "adjustable-15", name: "Adjustable spanner, 15 cm", group: "tools", massG: 128, heads: [{ profile: "adjustable", size: 20, leverMm: 140, reachMm: 18, bodyMm: 18, thickMm: 10 }] },
  { id: "spanner-8-10", name: "Open-end spanner 8 and 10 mm, flat", group: "tools", massG: 24, heads: [spanner("open-end", 8, 80, 3.5), spanner("open-end", 10, 80, 3.5)] },
  { id: "spanner-13", name: "Open-end spanner 13 mm, flat", group: "tools", massG: 31, heads: [spanner("open-end", 13, 110, 4)] },
  { id: "spanner-15", name: "Ring spanner 15 mm, flat", group: "tools", massG: 62, heads: [spanner("ring", 15, 150, 6)] },
  { id: "spanner-15-open", name: "Open-end spanner 15 mm, thin", group: "tools", massG: 78, heads: [spanner("open-end", 15, 150, 5)] },
  { id: "spanner-18", name: "Ring spanner 18 mm, short", group: "tools", massG: 92, heads: [spanner("ring", 18, 150, 7)] },
  { id: "multi-pliers", name: "Multi-pliers, 12 functions", group: "tools", massG: 142, provides: ["grip", "cut-cable", "cut", "file"], heads: [gripping(14), driver("phillips", 2), driver("slot", 4)] },
  { id: "pliers-tiny", name: "Pliers, tiny", group: "tools", massG: 54, provides: ["grip"], heads: [gripping(10)] },
  { id: "cutter", name: "Cable cutter, small", group: "tools", massG: 88, provides: ["cut-cable"] },
  { id: "knife", name: "Pocket knife", group: "tools", massG: 38, provides: ["cut"] },
  { id: "head-lamp", name: "Head lamp", group: "tools", massG: 74, provides: ["light"] },
  // cloth and cord
  { id: "needle-thread", name: "Needle and nylon thread", group: "cloth and cord", massG: 9, provides: ["sew"], units: { thread: 6 } },
  { id: "tape", name: "Cloth tape, 1.5 m on the pump", group: "cloth and cord", massG: 17, units: { tape: 1.5 } },
  { id: "zip-ties", name: "Zip ties 200 mm, six", group: "cloth and cord", massG: 9, units: { "zip-tie": 6 } },
  { id: "hook-loop", name: "Hook-and-loop strips, two", group: "cloth and cord", massG: 12, units: { strap: 2 } },
  { id: "strap", name: "Strap with buckle", group: "cloth and cord", massG: 24, units: { strap: 1 } },
  { id: "wire", name: "Binding wire, 1 m", group: "cloth and cord", massG: 8, units: { wire: 1 } },
  { id: "rag", name: "Rag", group: "cloth and cord", massG: 12, provides: ["wipe"] },
  { id: "gloves", name: "Thin gloves, pair", group: "cloth and cord", massG: 7 },
  // fluids
  { id: "lube-15", name: "Chain lube, 15 mL dropper", group: "fluids", massG: 21, units: { lube: 15 } },
  { id: "lube-60", name: "Chain lube, 60 mL bottle", group: "fluids", massG: 72, units: { lube: 60 } },
  { id: "super-glue", name: "Super glue, 3 g", group: "fluids", massG: 6, units: { glue: 3 } },
  { id: "rubber-cement", name: "Curing rubber, 5 g", group: "fluids", massG: 9, units: { glue: 2 } },
  { id: "grease", name: "Grease in a tiny pot", group: "fluids", massG: 11 }
];
var items = z27.array(catalogueItemSchema).parse(written3);

// catalogue/demo/bench.ts
function taken(from, change = {}) {
  const item = items.find((candidate) => candidate.id === from);
  if (!item) throw new RangeError(`the catalogue has no "${from}"`);
  const { name, massG, provides, heads, comesApart, units: units2, measures } = item;
  return thingSchema.parse({ id: from, from, name, massG, provides, heads, comesApart, units: units2, measures, ...change });
}
var demoBench = [
  taken("hose-pump", { massG: 142 }),
  taken("mini-pump", { massG: 98, note: "Second pump, in case the two ride apart." }),
  taken("co2-head"),
  taken("co2-25", { count: 4, massG: 91 }),
  taken("tube-622", { count: 4, massG: 178 }),
  taken("tube-622-light", {
    count: 2,
    massG: 108,
    condition: 0.9,
    note: "A year in the bag, held under water in spring."
  }),
  taken("patch-kit", { massG: 27 }),
  taken("sticker-patches"),
  taken("levers-two", { massG: 23 }),
  taken("lever-strong"),
  taken("boot", { count: 3 }),
  taken("boot-cloth"),
  taken("plug-kit", { massG: 29 }),
  taken("plugs"),
  taken("sealant-60", { count: 2 }),
  taken("core-tool"),
  taken("core-presta", { count: 2 }),
  taken("tyre-622", { massG: 468 }),
  taken("link-12", { count: 3 }),
  taken("link-11", { count: 3 }),
  taken("piece-12"),
  taken("piece-11"),
  taken("breaker", { massG: 64 }),
  taken("link-pliers"),
  taken("hanger", { id: "hanger-k3", name: "Hanger, shape K3", massG: 19, units: { "hanger-k3": 1 } }),
  taken("hanger", { id: "hanger-m7", name: "Hanger, shape M7", massG: 23, units: { "hanger-m7": 1 } }),
  taken("pulley"),
  taken("shift-cable", { count: 2 }),
  taken("brake-cable", { count: 2 }),
  taken("pads-b1", { count: 2 }),
  taken("pads-b2", { count: 2 }),
  taken("rotor-bolts"),
  taken("spoke", { id: "spoke-291", name: "Spoke with nipple, 291 mm", count: 3, units: { "spoke-291": 1 } }),
  taken("spoke-288", { count: 3 }),
  taken("fibre-spoke", { count: 2 }),
  taken("spoke-key"),
  taken("lockring-tool"),
  taken("folding-17", { massG: 171 }),
  taken("folding-9"),
  taken("key-8"),
  taken("torque-key"),
  taken("multi-pliers", { massG: 138 }),
  taken("needle-thread"),
  taken("tape"),
  taken("zip-ties"),
  taken("hook-loop"),
  taken("wire"),
  taken("rag", { massG: 10 }),
  taken("rack-bolts"),
  taken("cleat-bolts"),
  taken("seat-bolt"),
  taken("lube-15"),
  taken("lube-60"),
  taken("super-glue")
];

// catalogue/demo/stops.ts
import { z as z28 } from "zod";
var weekdays = "Mo-Fr 09:00-18:00; Sa 09:00-13:00";
var daily = "Mo-Su 07:00-21:00";
var written4 = [
  { id: "pell-harbour", name: "Pell Harbour", roadKm: 0, exit: "ferry", exitWaitH: 10, services: [{ kind: "bike-shop", hours: weekdays }, { kind: "supermarket", hours: daily }, { kind: "bed" }] },
  { id: "low-stannet", name: "Low Stannet", roadKm: 38, services: [{ kind: "fuel-station", hours: "24/7" }, { kind: "water" }] },
  { id: "quillby", name: "Quillby", roadKm: 71, offRoadM: 300, exit: "bus", exitWaitH: 6, services: [{ kind: "bike-shop", hours: "Tu-Fr 10:00-18:00; Sa 10:00-14:00" }, { kind: "supermarket", hours: daily }, { kind: "bed" }] },
  { id: "hobs-garth", name: "Hobs Garth", roadKm: 118, services: [{ kind: "bed" }, { kind: "water" }], note: "A bothy with a spring; no signal." },
  { id: "grindle-pass", name: "Grindle Pass hut", roadKm: 152, offRoadM: 150, services: [{ kind: "bed", hours: "Jun-Sep Mo-Su 00:00-24:00" }, { kind: "water" }] },
  { id: "ferrow", name: "Ferrow", roadKm: 196, offRoadM: 900, exit: "bus", exitWaitH: 6, services: [{ kind: "supermarket", hours: "Mo-Sa 08:00-19:00" }, { kind: "post", hours: "Mo-Fr 09:00-12:00,14:00-17:00" }, { kind: "bed" }] },
  { id: "tarn-ings", name: "Tarn Ings", roadKm: 243, services: [{ kind: "fuel-station", hours: "Mo-Su 06:00-22:00" }, { kind: "bed" }] },
  { id: "sallow-mill", name: "Sallow Mill", roadKm: 271, offRoadM: 1200, bigWrench: true, services: [{ kind: "workshop", knownFrom: "hearsay", hours: "Mo-Fr 08:00-17:00", stocks: { patch: 0.8 } }, { kind: "water" }], note: "The smith has a big wrench and a vice." },
  { id: "brannock", name: "Brannock", roadKm: 311, bigWrench: true, exit: "train", exitWaitH: 3, services: [{ kind: "bike-shop", knownFrom: "asked", hours: weekdays, stocks: { "hanger-k3": 0.1 } }, { kind: "hardware-store", hours: weekdays }, { kind: "supermarket", hours: daily }, { kind: "post", hours: "Mo-Fr 09:00-17:00" }, { kind: "bed" }] },
  { id: "ashmere", name: "Ashmere", roadKm: 352, services: [{ kind: "supermarket", hours: "Mo-Sa 08:00-20:00" }, { kind: "water" }] },
  { id: "corrie-lathe", name: "Corrie Lathe", roadKm: 397, offRoadM: 400, services: [{ kind: "bed" }, { kind: "water" }] },
  { id: "hollin-pass", name: "Hollin Pass shelter", roadKm: 428, services: [{ kind: "water" }], note: "Stone shelter, no door." },
  { id: "nether-cray", name: "Nether Cray", roadKm: 466, exit: "bus", exitWaitH: 6, services: [{ kind: "hardware-store", hours: weekdays }, { kind: "fuel-station", hours: daily }, { kind: "bed" }] },
  { id: "saltmoor", name: "Saltmoor", roadKm: 521, offRoadM: 250, services: [{ kind: "workshop", hours: "Mo-Sa 08:00-16:00" }, { kind: "supermarket", hours: daily }] },
  { id: "wick-tarrant", name: "Wick Tarrant", roadKm: 549, exit: "train", exitWaitH: 3, services: [{ kind: "bike-shop", hours: "Tu-Sa 09:30-18:00" }, { kind: "outdoor-shop", hours: weekdays }, { kind: "bed" }] },
  { id: "skerry-point", name: "Skerry Point", roadKm: 619, exit: "ferry", exitWaitH: 10, services: [{ kind: "supermarket", hours: daily }, { kind: "bed" }] }
];
var demoStops = z28.array(stopSchema).parse(written4);

// catalogue/demo/terrain.ts
var heights = [
  [0, 8],
  [22, 95],
  [38, 210],
  [55, 140],
  [71, 92],
  [98, 420],
  [118, 640],
  [152, 1480],
  [176, 980],
  [196, 610],
  [222, 470],
  [243, 520],
  [271, 330],
  [292, 410],
  [311, 236],
  [334, 380],
  [352, 300],
  [397, 940],
  [428, 1890],
  [452, 1120],
  [466, 820],
  [494, 560],
  [521, 300],
  [549, 176],
  [580, 250],
  [604, 90],
  [620, 4]
];
var start = { lat: 43.62, lon: -33.4 };
var lengthKm = 620;
var stepKm = 0.1;
var earthKm = 6371.0088;
function numbersFrom(seed) {
  let state = seed >>> 0;
  return () => {
    state = state + 1831565813 >>> 0;
    let t = Math.imul(state ^ state >>> 15, state | 1);
    t ^= t + Math.imul(t ^ t >>> 7, t | 61);
    return ((t ^ t >>> 14) >>> 0) / 4294967296;
  };
}
function wander(random, lengthsKm, heightPerKm) {
  const waves = lengthsKm.map((length) => ({
    length: length * (0.8 + 0.4 * random()),
    phase: 2 * Math.PI * random(),
    height: heightPerKm * length ** 0.8 * (0.7 + 0.6 * random())
  }));
  return (km) => waves.reduce((sum, wave) => sum + wave.height * Math.sin(2 * Math.PI * km / wave.length + wave.phase), 0);
}
function heightAt(km) {
  const next = Math.max(
    1,
    heights.findIndex(([at]) => at >= km)
  );
  const [fromKm, fromM] = nth(heights, next - 1);
  const [toKm, toM] = nth(heights, next);
  const part = (km - fromKm) / (toKm - fromKm);
  return fromM + (toM - fromM) * part * part * (3 - 2 * part);
}
function demoLine(seed = 20260711) {
  const random = numbersFrom(seed);
  const rolling = wander(random, [0.9, 1.7, 3.1, 5.3], 2.6);
  const bends = wander(random, [1.3, 4.7, 17, 61, 190], 0.03);
  const points = [];
  let { lat, lon } = start;
  const steps = Math.round(lengthKm / stepKm);
  for (let i = 0; i <= steps; i++) {
    const km = i * stepKm;
    const nearShore = Math.min(1, km / 4, (lengthKm - km) / 4);
    const noise = (random() - 0.5) * 1.6;
    const eleM = Math.max(2, heightAt(km) + nearShore * rolling(km) + noise);
    points.push([Number(lat.toFixed(6)), Number(lon.toFixed(6)), Number(eleM.toFixed(1))]);
    const heading = 58 * Math.PI / 180 + Math.max(-2.2, Math.min(2.2, bends(km)));
    const turn = stepKm / earthKm;
    lat += turn * Math.cos(heading) * 180 / Math.PI;
    lon += turn * Math.sin(heading) * 180 / Math.PI / Math.cos(lat * Math.PI / 180);
  }
  return points;
}
var stretch = (fromKm, toKm, marks) => ({
  id: `from-${fromKm}`,
  fromKm,
  toKm,
  ...defaultTraits,
  ...marks
});
var lonely = { signal: false, traffic: "empty" };
var demoStretches = [
  stretch(0, 44, { surface: "asphalt", traffic: "busy" }),
  stretch(71, 108, { traffic: "empty" }),
  stretch(108, 152, { surface: "track", ...lonely }),
  stretch(152, 190, { surface: "singletrack", wet: true, ...lonely }),
  stretch(222, 268, { surface: "track", thorns: true, traffic: "empty" }),
  stretch(268, 311, { surface: "asphalt", traffic: "busy" }),
  stretch(340, 396, { traffic: "empty" }),
  stretch(396, 428, { surface: "track", wet: true, ...lonely }),
  stretch(428, 466, { wet: true, ...lonely }),
  stretch(466, 549, { surface: "asphalt", traffic: "busy" }),
  stretch(604, 619.5, { surface: "asphalt" })
];

// catalogue/demo/weather.ts
var day2 = (date, lowC, highC, rainMm, windKmH) => ({
  date: `2026-06-${date}`,
  lowC,
  highC,
  rainMm,
  windKmH
});
var demoForecast = forecastSchema.parse({
  from: "invented for the demo",
  days: [
    day2("12", 9, 16, 0, 18),
    day2("13", 10, 18, 0.4, 14),
    day2("14", 11, 19, 0, 12),
    day2("15", 8, 15, 1.2, 25),
    day2("16", 6, 12, 9, 38),
    day2("17", 5, 11, 14, 45),
    day2("18", 7, 14, 0.6, 22),
    day2("19", 9, 16, 0, 16)
  ]
});

// catalogue/demo/index.ts
function filledIn(kind, id, change) {
  const bike = bikeSchema.parse({ ...bikeFrom(kind, id), ...change });
  return { ...bike, fasteners: defaultFasteners(bike, bikes) };
}
var fox = bikeFrom("gravel", "fox");
var mule = bikeFrom("tourer", "mule");
var bikes2 = [
  filledIn("gravel", "fox", {
    name: "The Fox, gravel",
    tyres: {
      front: { ...fox.tyres.front, treadLeft: 0.9, mostBar: 4.5 },
      rear: { ...fox.tyres.rear, treadLeft: 0.7, mostBar: 4.5 }
    },
    wheels: {
      front: { ...fox.wheels.front, erdMm: 610, left: { ...fox.wheels.front.left, measuredMm: 288 } },
      rear: {
        ...fox.wheels.rear,
        erdMm: 610,
        left: { ...fox.wheels.rear.left, measuredMm: 290 },
        right: { ...fox.wheels.rear.right, measuredMm: 288 }
      }
    },
    hanger: "k3",
    chainLinks: 114,
    padLeft: 0.55,
    chainLeft: 0.7
  }),
  filledIn("tourer", "mule", {
    name: "The Mule, tourer",
    tyres: {
      front: { ...mule.tyres.front, size: "42-622" },
      rear: { ...mule.tyres.rear, size: "42-622" }
    },
    wheels: {
      front: { ...mule.wheels.front, erdMm: 600, left: { ...mule.wheels.front.left, measuredMm: 291 } },
      rear: {
        ...mule.wheels.rear,
        erdMm: 600,
        left: { ...mule.wheels.rear.left, measuredMm: 291 },
        right: { ...mule.wheels.rear.right, measuredMm: 288 }
      }
    },
    speeds: 11,
    chainrings: [28, 42],
    sprockets: [11, 13, 15, 17, 19, 21, 23, 25, 28, 32, 36],
    chainLinks: 116,
    hanger: "m7",
    brakes: "cable-disc",
    padShape: "b2",
    padCompound: "organic",
    padLeft: 0.4,
    chainLeft: 0.5,
    racks: { front: false, rear: true }
  })
];
var crew = [
  riderSchema.parse({
    id: "maren",
    name: "Maren",
    bikeId: "fox",
    hands: 2,
    skills: {
      "change-tube": 3,
      "patch-tube": 3,
      "plug-tubeless": 3,
      "join-chain": 3,
      "make-single-speed": 1,
      "change-drive-spoke": 1
    }
  }),
  riderSchema.parse({
    id: "ansel",
    name: "Ansel",
    bikeId: "mule",
    hands: 1,
    skills: { "change-tube": 2, lash: 3, "sew-tyre": 2, "lube-chain": 3 }
  })
];
var demoRoad = { name: "Pell Harbour to Skerry Point", points: demoLine(), stretches: demoStretches };
function demoTrip() {
  return {
    format: tripFormat,
    name: "Across the Quern, June",
    road: demoRoad,
    ride: rideSchema.parse({ start: "2026-06-12T08:30", utcOffsetH: -1 }),
    forecast: demoForecast,
    stops: demoStops,
    bikes: bikes2,
    crew,
    bench: demoBench,
    dials: dialsSchema.parse({ gramsPerHour: 970, reckoning: reckoningNow })
  };
}

// flow.local.ts
import { writeFileSync } from "node:fs";

// tests/e2e/steps.ts
import AxeBuilder from "@axe-core/playwright";
import { expect } from "@playwright/test";
var people = 0;
async function newAccount(request, name) {
  const email = `${name.toLowerCase()}-${process.pid}-${Date.now()}-${people++}@quern.example`;
  const account = { name, email, password: "a bicycle of my own" };
  expect((await request.post("/api/account", { data: account })).ok()).toBe(true);
  return account;
}

// flow.local.ts
var d = demoTrip();
writeFileSync("/tmp/own.gpx", writeGpx({ ...d.road, name: "My road" }, surveyRoad(d.road.points), d.stops.map((s2, i) => ({ ...s2, name: i === 2 ? "Bike shop Quillby" : i === 5 ? "Supermarket Ferrow" : s2.name }))));
var browser = await chromium.launch({ executablePath: "/usr/bin/chromium-headless-shell", args: ["--no-sandbox", "--disable-gpu", "--disable-quic"] });
var [w, h] = (process.argv[2] ?? "1280x800").split("x").map(Number);
var page = await browser.newPage({ viewport: { width: w, height: h }, baseURL: "http://127.0.0.1:3000" });
page.on("pageerror", (e) => console.log("ERR", e.message));
await newAccount(page.request, "Flow");
await page.goto("/trips");
await page.getByRole("heading", { name: "Trips" }).waitFor();
await page.locator("input[type=file]").first().setInputFiles("/tmp/own.gpx");
await page.waitForTimeout(7e3);
console.log(page.url(), await page.getByLabel("What matters most now").innerText().catch(() => "none"));
await page.screenshot({ path: `/tmp/shots/flow1-${w}.png` });
var b = page.getByRole("button", { name: /look at them/ });
if (await b.count()) {
  await b.click();
  await page.waitForTimeout(1500);
  await page.screenshot({ path: `/tmp/shots/flow2-${w}.png` });
  await page.getByRole("button", { name: /Take all|Take it/ }).first().click();
  await page.waitForTimeout(4e3);
}
console.log(await page.getByLabel("What matters most now").innerText().catch(() => "none"));
await page.getByRole("button", { name: /start from my bikes/ }).click();
await page.waitForTimeout(6e3);
console.log(await page.getByLabel("What matters most now").innerText().catch(() => "none"));
await page.screenshot({ path: `/tmp/shots/flow3-${w}.png` });
var s = page.getByRole("button", { name: /set it/ });
if (await s.count()) {
  await s.click();
  await page.waitForTimeout(1500);
  console.log(await page.evaluate(() => document.activeElement?.outerHTML.slice(0, 100)));
  await page.screenshot({ path: `/tmp/shots/flow4-${w}.png` });
}
await browser.close();
