var __defProp = Object.defineProperty;
var __getOwnPropNames = Object.getOwnPropertyNames;
var __esm = (fn, res, err) => function __init() {
  if (err) throw err[0];
  try {
    return fn && (res = (0, fn[__getOwnPropNames(fn)[0]])(fn = 0)), res;
  } catch (e) {
    throw err = [e], e;
  }
};
var __export = (target, all) => {
  for (var name in all)
    __defProp(target, name, { get: all[name], enumerable: true });
};

// core/bike/parts.ts
var bikeParts;
var init_parts = __esm({
  "core/bike/parts.ts"() {
    bikeParts = [
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
  }
});

// core/units/factors.ts
var GRAMS_PER_OUNCE, GRAMS_PER_POUND, KM_PER_MILE, METRES_PER_FOOT, MM_PER_INCH, BAR_PER_PSI, FAHRENHEIT_ZERO_C, NEWTON_PER_POUND_FORCE, NEWTON_METRE_PER_FOOT_POUND, ML_PER_FLUID_OUNCE;
var init_factors = __esm({
  "core/units/factors.ts"() {
    GRAMS_PER_OUNCE = 28.349523125;
    GRAMS_PER_POUND = 453.59237;
    KM_PER_MILE = 1.609344;
    METRES_PER_FOOT = 0.3048;
    MM_PER_INCH = 25.4;
    BAR_PER_PSI = 4.4482216152605 / 64516e-8 / 1e5;
    FAHRENHEIT_ZERO_C = -32 / 1.8;
    NEWTON_PER_POUND_FORCE = 4.4482216152605;
    NEWTON_METRE_PER_FOOT_POUND = NEWTON_PER_POUND_FORCE * METRES_PER_FOOT;
    ML_PER_FLUID_OUNCE = 29.5735295625;
  }
});

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
var init_defined = __esm({
  "core/validation/defined.ts"() {
  }
});

// core/validation/fault.ts
var init_fault = __esm({
  "core/validation/fault.ts"() {
  }
});

// core/validation/from-schema.ts
var init_from_schema = __esm({
  "core/validation/from-schema.ts"() {
    init_fault();
  }
});

// core/validation/text.ts
import { z } from "zod";
var unwritable, text, idSchema, nameSchema;
var init_text = __esm({
  "core/validation/text.ts"() {
    unwritable = /[\u0000-\u0008\u000b\u000c\u000e-\u001f\ufffe\uffff]|\p{Surrogate}/u;
    text = (most) => z.string().max(most).refine((value) => !unwritable.test(value), "a text without control characters and halves of characters");
    idSchema = text(60).min(1);
    nameSchema = text(120).min(1);
  }
});

// core/validation/index.ts
var init_validation = __esm({
  "core/validation/index.ts"() {
    init_defined();
    init_fault();
    init_from_schema();
    init_text();
  }
});

// core/units/measure.ts
var units;
var init_measure = __esm({
  "core/units/measure.ts"() {
    init_validation();
    init_factors();
    units = {
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
  }
});

// core/units/system.ts
var init_system = __esm({
  "core/units/system.ts"() {
  }
});

// core/units/customary.ts
var customary;
var init_customary = __esm({
  "core/units/customary.ts"() {
    init_factors();
    customary = {
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
  }
});

// core/units/index.ts
var init_units = __esm({
  "core/units/index.ts"() {
    init_factors();
    init_measure();
    init_system();
    init_customary();
  }
});

// core/bike/tyre.ts
import { z as z2 } from "zod";
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
  const usual2 = name === "700" ? "c" : "b";
  const beadMm = letter === "" || letter.toLowerCase() === usual2 ? beadOfName[name] : void 0;
  return beadMm ? { widthMm: Number(width), beadMm } : void 0;
}
var beadDiametersMm, beadOfName, tyreSchema;
var init_tyre = __esm({
  "core/bike/tyre.ts"() {
    init_units();
    init_validation();
    beadDiametersMm = [
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
    beadOfName = {
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
    tyreSchema = z2.object({
      size: z2.string().refine((marking) => readTyreSize(marking) !== void 0, {
        message: 'a tyre marking of width and bead such as "50-622"'
      }),
      tubeless: z2.boolean().default(false),
      protection: z2.enum(["light", "normal", "tough"]).default("normal"),
      /** Tread left, 1 when new. */
      treadLeft: z2.number().min(0).max(1).default(0.8),
      /** Pressure it is ridden at, bar; null: the usual one for its width. */
      rideBar: z2.number().gt(0).max(15).nullable().default(null),
      /** The most its side says, bar; null where nobody has looked. */
      mostBar: z2.number().gt(0).max(15).nullable().default(null)
    });
  }
});

// core/bike/spoke-length.ts
function mostCrossings(holes) {
  return Math.ceil(holes / 8) - 1;
}
var init_spoke_length = __esm({
  "core/bike/spoke-length.ts"() {
    init_validation();
  }
});

// core/bike/wheel.ts
import { z as z3 } from "zod";
var wheelSideSchema, wheelMeasures, wheelSchema, rimSchema;
var init_wheel = __esm({
  "core/bike/wheel.ts"() {
    init_spoke_length();
    wheelSideSchema = z3.object({
      /** Pitch circle of the spoke holes, mm. */
      flangeMm: z3.number().min(20).max(300).default(58),
      /** From the middle of the hub to the flange, mm. */
      offsetMm: z3.number().min(0).max(80).default(35),
      /** Length of a spoke taken out and measured, mm; null where nobody has. */
      measuredMm: z3.number().min(60).max(350).nullable().default(null)
    });
    wheelMeasures = z3.object({
      holes: z3.number().int().min(8).max(72).default(32),
      crossings: z3.number().int().min(0).max(5).default(3),
      /** Effective rim diameter: between the seats of two opposite nipples, mm. */
      erdMm: z3.number().min(100).max(700).default(600),
      spokeHoleMm: z3.number().min(1.5).max(5).default(2.6),
      left: wheelSideSchema.prefault({}),
      right: wheelSideSchema.prefault({}),
      /** Across the flats of a nipple, mm. */
      nippleMm: z3.number().min(3).max(6).default(3.2),
      /** Whether a spoke of the geared side goes in with everything on the hub left in place. */
      freeDriveSide: z3.boolean().default(false)
    });
    wheelSchema = wheelMeasures.refine(({ holes }) => holes % 2 === 0, { message: "an even number of holes", path: ["holes"] }).refine(({ holes, crossings }) => crossings <= mostCrossings(holes), {
      error: ({ input }) => {
        const { holes } = input;
        return `at most ${mostCrossings(holes)} crossings for ${holes} holes, or a spoke lies across its neighbour's head`;
      },
      path: ["crossings"]
    });
    rimSchema = z3.object({
      hooked: z3.boolean().default(true),
      /** From the tube's side of the rim to where the valve comes out, mm. */
      depthMm: z3.number().min(5).max(120).default(22),
      /** Widest pressure its maker allows, bar; null where unknown. */
      mostBar: z3.number().gt(0).max(15).nullable().default(null),
      /** Stem of the valve that is in it, mm; null where nobody has measured. */
      stemMm: z3.number().min(10).max(150).nullable().default(null),
      /** The hole for the valve takes a thick one. */
      wideValveHole: z3.boolean().default(false)
    });
  }
});

// core/bike/frame.ts
import { z as z4 } from "zod";
var frameShapes, barShapes, frameSchema;
var init_frame = __esm({
  "core/bike/frame.ts"() {
    frameShapes = ["diamond", "sloping", "full-suspension", "folding", "step-through"];
    barShapes = ["drop", "flat", "upright"];
    frameSchema = z4.object({
      shape: z4.enum(frameShapes).default("sloping"),
      material: z4.enum(["steel", "aluminium", "titanium", "carbon"]).default("aluminium"),
      bar: z4.enum(barShapes).default("flat"),
      wheelbaseMm: z4.number().min(700).max(1500).default(1050),
      /** From the bottom bracket to the rear axle, mm. */
      chainstayMm: z4.number().min(300).max(650).default(435),
      /** How far the bottom bracket lies below the line of the axles, mm. */
      dropMm: z4.number().min(-150).max(100).default(70),
      headAngleDeg: z4.number().min(60).max(80).default(71),
      seatAngleDeg: z4.number().min(65).max(80).default(73.5),
      /** From the bottom bracket to the top of the head tube, mm, upwards. */
      stackMm: z4.number().min(350).max(850).default(590),
      headTubeMm: z4.number().min(60).max(350).default(150),
      /** From the bottom bracket along the seat tube, mm: to its top, and to the saddle. */
      seatTubeMm: z4.number().min(200).max(700).default(500),
      saddleMm: z4.number().min(350).max(900).default(730)
    });
  }
});

// core/bike/fastener.ts
import { z as z5 } from "zod";
var measuredDrives, numberedDrives, namedDrives, sizelessDrives, sizeName, driveSchema, fastenerSchema;
var init_fastener = __esm({
  "core/bike/fastener.ts"() {
    init_validation();
    init_parts();
    measuredDrives = ["hex", "slot", "flats", "nipple"];
    numberedDrives = ["hexalobular", "phillips", "pozidriv"];
    namedDrives = ["spline", "valve-core"];
    sizelessDrives = ["chain-pin", "quick-link", "by-hand"];
    sizeName = z5.string().regex(/^[a-z0-9-]{1,20}$/, 'a short name of letters, digits and hyphens such as "presta"');
    driveSchema = z5.discriminatedUnion("profile", [
      z5.object({ profile: z5.enum(measuredDrives), size: z5.number().min(0.5).max(60) }),
      z5.object({ profile: z5.enum(numberedDrives), size: z5.number().int().min(0).max(100) }),
      z5.object({ profile: z5.enum(namedDrives), size: sizeName }),
      z5.object({ profile: z5.enum(sizelessDrives) })
    ]);
    fastenerSchema = z5.object({
      id: idSchema,
      name: nameSchema,
      part: z5.enum(bikeParts),
      /** What fixes call it: "hanger-bolt"; empty where no fix asks for it. */
      role: z5.string().regex(/^[a-z0-9-]{0,40}$/, 'a role such as "hanger-bolt"').default(""),
      count: z5.number().int().min(1).max(99).default(1),
      drive: driveSchema,
      /** Tightening torque, N·m. The maker's manual decides. */
      torqueNm: z5.object({ least: z5.number().min(0).max(300), most: z5.number().min(0).max(300) }).refine(({ least, most }) => most >= least, {
        message: "a torque whose most is not below its least",
        path: ["most"]
      }),
      /** Torque it takes to come loose, N·m; null: as much as it was tightened with. */
      looseNm: z5.number().min(0).max(300).nullable().default(null),
      /** How deep the drive lies, mm: a key must reach that far. */
      recessMm: z5.number().min(0).max(400).default(0),
      /** Room beside its axis for the body of a tool, mm. */
      roomMm: z5.number().min(1).max(500).default(100),
      /** How far a lever can swing before it meets something, degrees. */
      swingDeg: z5.number().min(5).max(360).default(360),
      /** An axle or a cable runs through it: a ring or a socket cannot be put over. */
      openEndOnly: z5.boolean().default(false),
      /** Width of the flats along the axis, mm, where only a thin jaw gets in; null where any does. */
      gapMm: z5.number().min(1).max(60).nullable().default(null),
      /** What a second tool has to hold on the other side; null where nothing turns with it. */
      counterhold: driveSchema.nullable().default(null),
      /** It clamps carbon, or a light part that breaks: a torque key and the maker's value decide. */
      wantsTorqueKey: z5.boolean().default(false),
      /** Why it can wait for a workshop; empty where it cannot. */
      canWait: text(200).default("")
    });
  }
});

// core/bike/schema.ts
import { z as z6 } from "zod";
var shape, share, teeth, cableMm, bikeKinds, storageSchema, bikeSchema;
var init_schema = __esm({
  "core/bike/schema.ts"() {
    init_validation();
    init_fastener();
    init_frame();
    init_tyre();
    init_wheel();
    shape = z6.string().regex(/^[a-z0-9]{1,8}$/, 'a short shape mark of letters and digits such as "k3"');
    share = z6.number().min(0).max(1);
    teeth = z6.number().int().min(6).max(70);
    cableMm = z6.number().min(100).max(4e3).nullable().default(null);
    bikeKinds = [
      "gravel",
      "hard-tail",
      "full-suspension",
      "tourer",
      "folder",
      "fat-electric",
      "single-speed"
    ];
    storageSchema = z6.object({
      name: text(60).min(1),
      volumeMl: z6.number().min(1).max(2e4),
      /** The longest thing that goes in, mm. */
      longestMm: z6.number().min(10).max(1e3)
    });
    bikeSchema = z6.object({
      id: idSchema,
      name: nameSchema,
      kind: z6.enum(bikeKinds).default("gravel"),
      frame: frameSchema.prefault({}),
      tyres: z6.object({ front: tyreSchema, rear: tyreSchema }),
      rims: z6.object({ front: rimSchema.prefault({}), rear: rimSchema.prefault({}) }).prefault({}),
      valve: z6.enum(["presta", "schrader"]).default("presta"),
      /** Sealant left in tubeless tyres, 1 when just filled. */
      sealantLeft: share.default(0.8),
      wheels: z6.object({ front: wheelSchema.prefault({}), rear: wheelSchema.prefault({}) }).prefault({}),
      gears: z6.enum(["derailleur", "hub", "single"]).default("derailleur"),
      shifting: z6.enum(["cable", "electric", "none"]).default("cable"),
      speeds: z6.number().int().min(1).max(14).default(11),
      chainrings: z6.array(teeth).min(1).max(3).default([40]),
      /** Teeth of each sprocket, the smallest first. */
      sprockets: z6.array(teeth).min(1).max(14).default([11, 13, 15, 17, 19, 21, 24, 28, 32, 37, 42]),
      /** Links of the chain as it is, each of half an inch; null where nobody has counted. */
      chainLinks: z6.number().int().min(50).max(250).nullable().default(null),
      hanger: shape.default("a1"),
      /** Spline of what holds the sprockets. */
      lockring: shape.default("c1"),
      /** Chain life left, 1 when new. */
      chainLeft: share.default(0.8),
      /** Life that the shift cables have left before they fray, 1 when new. */
      cablesLeft: share.default(0.8),
      brakes: z6.enum(["rim", "cable-disc", "hydraulic-disc"]).default("cable-disc"),
      padShape: shape.default("b1"),
      padCompound: z6.enum(["organic", "sintered", "rubber"]).default("organic"),
      /** Thickness left of what may be worn away, 1 when new. */
      padLeft: share.default(0.8),
      /** Inner cables this bike needs at least, mm; null where nobody has measured. */
      cables: z6.object({ frontBrakeMm: cableMm, rearBrakeMm: cableMm, rearShiftMm: cableMm, frontShiftMm: cableMm }).prefault({}),
      pedals: z6.enum(["flat", "two-bolt", "three-bolt"]).default("flat"),
      racks: z6.object({ front: z6.boolean().default(false), rear: z6.boolean().default(false) }).prefault({}),
      mudguards: z6.boolean().default(false),
      leatherSaddle: z6.boolean().default(false),
      /** Travel in mm; 0 where there is none. */
      suspension: z6.object({ forkMm: z6.number().min(0).max(250).default(0), rearMm: z6.number().min(0).max(250).default(0) }).prefault({}),
      motor: z6.enum(["none", "mid", "front-hub", "rear-hub"]).default("none"),
      batteryWh: z6.number().min(0).max(3e3).default(0),
      lights: z6.enum(["none", "battery", "dynamo"]).default("battery"),
      /** Places for a bottle or a cage. */
      bottleMounts: z6.number().int().min(0).max(8).default(2),
      storage: z6.array(storageSchema).max(12).default([]),
      /** How much slower than a walker one is pushing this bike loaded; planning value 1.15. */
      pushFactor: z6.number().min(1).max(4).default(1.15),
      /** Every bolt, nut and screw that may have to be turned. */
      fasteners: z6.array(fastenerSchema).max(120).refine((list) => new Set(list.map(({ id: id2 }) => id2)).size === list.length, {
        message: "fasteners that each have an id of their own"
      }).default([])
    });
  }
});

// core/bike/spokes.ts
var init_spokes = __esm({
  "core/bike/spokes.ts"() {
    init_validation();
    init_spoke_length();
  }
});

// core/bike/places-long-enough.ts
var init_places_long_enough = __esm({
  "core/bike/places-long-enough.ts"() {
  }
});

// core/chain/belt.ts
var init_belt = __esm({
  "core/chain/belt.ts"() {
  }
});

// core/chain/length.ts
var init_length = __esm({
  "core/chain/length.ts"() {
    init_validation();
    init_belt();
  }
});

// core/chain/single-speed.ts
var init_single_speed = __esm({
  "core/chain/single-speed.ts"() {
    init_belt();
  }
});

// core/chain/wear.ts
var init_wear = __esm({
  "core/chain/wear.ts"() {
  }
});

// core/chain/easy-gears.ts
var init_easy_gears = __esm({
  "core/chain/easy-gears.ts"() {
    init_length();
  }
});

// core/chain/index.ts
var init_chain = __esm({
  "core/chain/index.ts"() {
    init_belt();
    init_length();
    init_single_speed();
    init_wear();
    init_easy_gears();
  }
});

// core/bike/traits.ts
var bikeTraits;
var init_traits = __esm({
  "core/bike/traits.ts"() {
    init_chain();
    init_spokes();
    init_tyre();
    bikeTraits = [
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
  }
});

// core/bike/default-fasteners.ts
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
var variable, hasRack, without;
var init_default_fasteners = __esm({
  "core/bike/default-fasteners.ts"() {
    variable = [
      {
        parts: ["front brake", "rear brake", "front rotor", "rear rotor"],
        alike: (a, b) => a.brakes === b.brakes,
        has: () => true
      },
      {
        parts: ["rack"],
        alike: (a, b) => hasRack(a) === hasRack(b),
        has: (bike) => hasRack(bike)
      },
      { parts: ["mudguards"], alike: (a, b) => a.mudguards === b.mudguards, has: (bike) => bike.mudguards },
      {
        parts: ["derailleur", "shifter"],
        alike: (a, b) => a.gears === b.gears,
        has: (bike) => bike.gears === "derailleur"
      },
      { parts: ["motor", "battery"], alike: (a, b) => a.motor === b.motor, has: (bike) => bike.motor !== "none" },
      {
        parts: ["fork"],
        alike: (a, b) => a.suspension.forkMm > 0 === b.suspension.forkMm > 0,
        has: (bike) => bike.suspension.forkMm > 0
      },
      {
        parts: ["pivots", "shock"],
        alike: (a, b) => a.suspension.rearMm > 0 === b.suspension.rearMm > 0,
        has: (bike) => bike.suspension.rearMm > 0
      }
    ];
    hasRack = ({ racks }) => racks.front || racks.rear;
    without = (list, parts) => list.filter(({ part }) => !parts.includes(part));
  }
});

// core/bike/index.ts
var init_bike = __esm({
  "core/bike/index.ts"() {
    init_parts();
    init_tyre();
    init_wheel();
    init_frame();
    init_fastener();
    init_schema();
    init_spoke_length();
    init_spokes();
    init_places_long_enough();
    init_traits();
    init_default_fasteners();
  }
});

// core/crew/schema.ts
import { z as z7 } from "zod";
var skillSchema, difficultySchema, techniqueSchema, riderSchema;
var init_schema2 = __esm({
  "core/crew/schema.ts"() {
    init_validation();
    skillSchema = z7.union([z7.literal(0), z7.literal(1), z7.literal(2), z7.literal(3)]);
    difficultySchema = z7.enum(["easy", "medium", "hard"]);
    techniqueSchema = z7.object({ id: z7.string(), name: z7.string(), difficulty: difficultySchema });
    riderSchema = z7.object({
      id: idSchema,
      name: nameSchema,
      bikeId: idSchema,
      /** The level in every technique not named in skills. */
      hands: skillSchema.default(2),
      skills: z7.record(text(60), skillSchema).default({})
    });
  }
});

// core/crew/success.ts
var init_success = __esm({
  "core/crew/success.ts"() {
  }
});

// core/crew/index.ts
var init_crew = __esm({
  "core/crew/index.ts"() {
    init_schema2();
    init_success();
  }
});

// core/road/schema.ts
import { z as z8 } from "zod";
var latitude, longitude, roadPointSchema, surfaces, surfaceSchema, traffics, trafficSchema, traits, defaultTraits, stretchSchema, mostPoints, roadSchema, emptyRoad;
var init_schema3 = __esm({
  "core/road/schema.ts"() {
    init_validation();
    latitude = z8.number().min(-90).max(90);
    longitude = z8.number().min(-180).max(180);
    roadPointSchema = z8.tuple([latitude, longitude, z8.number().min(-500).max(9e3).nullable()]);
    surfaces = ["asphalt", "gravel", "track", "singletrack", "sand", "mud"];
    surfaceSchema = z8.enum(surfaces);
    traffics = ["busy", "quiet", "empty"];
    trafficSchema = z8.enum(traffics);
    traits = {
      surface: surfaceSchema,
      thorns: z8.boolean().default(false),
      wet: z8.boolean().default(false),
      /** Whether a telephone finds a network there. */
      signal: z8.boolean().default(true),
      traffic: trafficSchema.default("quiet")
    };
    defaultTraits = {
      surface: "gravel",
      thorns: false,
      wet: false,
      signal: true,
      traffic: "quiet"
    };
    stretchSchema = z8.object({ id: idSchema, fromKm: z8.number().min(0), toKm: z8.number().min(0), ...traits }).refine((stretch2) => stretch2.toKm > stretch2.fromKm, {
      message: "a stretch must end after it begins (toKm > fromKm)",
      path: ["toKm"]
    });
    mostPoints = 25e4;
    roadSchema = z8.object({
      name: text(200).default(""),
      points: z8.array(roadPointSchema).max(mostPoints).refine((points) => points.length !== 1, { message: "a road needs at least two points, or none yet" }),
      stretches: z8.array(stretchSchema).max(500).default([])
    });
    emptyRoad = { name: "", points: [], stretches: [] };
  }
});

// core/road/segments.ts
var init_segments = __esm({
  "core/road/segments.ts"() {
    init_validation();
    init_schema3();
  }
});

// core/road/distance.ts
import geodesic from "geographiclib-geodesic";
function geodesicM(latA, lonA, latB, lonB) {
  return wgs84.Inverse(latA, lonA, latB, lonB, onlyDistance).s12 ?? 0;
}
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
var wgs84, onlyDistance, radian, radius, eccentricity2, short;
var init_distance = __esm({
  "core/road/distance.ts"() {
    init_validation();
    wgs84 = geodesic.Geodesic.WGS84;
    onlyDistance = geodesic.Geodesic.DISTANCE;
    radian = Math.PI / 180;
    radius = wgs84.a;
    eccentricity2 = wgs84.f * (2 - wgs84.f);
    short = { degrees: 0.02, latitude: 80 };
  }
});

// core/road/elevation.ts
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
var climbRule;
var init_elevation = __esm({
  "core/road/elevation.ts"() {
    init_validation();
    climbRule = { windowM: 100, thresholdM: 3 };
  }
});

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
function valueAt(km, values, atKm) {
  const i = pointBefore(km, atKm);
  if (i >= km.length - 1) return numberAt(values, km.length - 1);
  const step = numberAt(km, i + 1) - numberAt(km, i);
  const part = step > 0 ? Math.min(Math.max((atKm - numberAt(km, i)) / step, 0), 1) : 0;
  return numberAt(values, i) + part * (numberAt(values, i + 1) - numberAt(values, i));
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
var init_survey = __esm({
  "core/road/survey.ts"() {
    init_validation();
    init_distance();
    init_elevation();
  }
});

// core/road/walking.ts
var walkingMethods, naismithKmPerHour, naismithClimbPerHour;
var init_walking = __esm({
  "core/road/walking.ts"() {
    init_validation();
    init_units();
    walkingMethods = ["naismith", "tobler"];
    naismithKmPerHour = 3 * KM_PER_MILE;
    naismithClimbPerHour = 2e3 * METRES_PER_FOOT;
  }
});

// core/road/push-out.ts
var init_push_out = __esm({
  "core/road/push-out.ts"() {
    init_validation();
    init_survey();
    init_walking();
  }
});

// core/road/gaps.ts
var init_gaps = __esm({
  "core/road/gaps.ts"() {
    init_validation();
  }
});

// core/road/place.ts
var init_place = __esm({
  "core/road/place.ts"() {
    init_validation();
    init_distance();
  }
});

// core/road/plan.ts
var init_plan = __esm({
  "core/road/plan.ts"() {
    init_validation();
    init_survey();
  }
});

// core/road/gpx-xml.ts
import { SaxesParser } from "saxes";
var init_gpx_xml = __esm({
  "core/road/gpx-xml.ts"() {
    init_validation();
  }
});

// core/road/gpx-read.ts
var largestGpxBytes;
var init_gpx_read = __esm({
  "core/road/gpx-read.ts"() {
    init_validation();
    init_gpx_xml();
    init_schema3();
    largestGpxBytes = 48 * 1024 * 1024;
  }
});

// core/road/gpx-write.ts
import Builder from "fast-xml-builder";
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
var options, builder, pointBuilder, pointsAtOnce, noPoints, degrees;
var init_gpx_write = __esm({
  "core/road/gpx-write.ts"() {
    init_validation();
    init_survey();
    options = { ignoreAttributes: false, attributeNamePrefix: "@", format: true };
    builder = new Builder(options);
    pointBuilder = new Builder({ ...options, processEntities: false });
    pointsAtOnce = 5e3;
    noPoints = "<trkseg></trkseg>";
    degrees = (value) => String(Number(value.toFixed(9)));
  }
});

// core/road/level-road.ts
function levelRoad(lengthKm2) {
  return Array.from({ length: lengthKm2 + 1 }, (_, km) => [0, km / kmOfDegree, null]);
}
var kmOfDegree;
var init_level_road = __esm({
  "core/road/level-road.ts"() {
    kmOfDegree = Math.PI * 6378.137 / 180;
  }
});

// core/road/index.ts
var init_road = __esm({
  "core/road/index.ts"() {
    init_schema3();
    init_segments();
    init_distance();
    init_elevation();
    init_survey();
    init_walking();
    init_push_out();
    init_gaps();
    init_place();
    init_plan();
    init_gpx_read();
    init_gpx_write();
    init_level_road();
  }
});

// core/ride/wall-clock.ts
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
function midnightBefore(at) {
  return Math.floor(at / minutesPerDay) * minutesPerDay;
}
var minutesPerDay, written, weekday;
var init_wall_clock = __esm({
  "core/ride/wall-clock.ts"() {
    minutesPerDay = 24 * 60;
    written = /^(\d{4})-(\d{2})-(\d{2})T(\d{2}):(\d{2})$/;
    weekday = new Intl.DateTimeFormat("en", { weekday: "long", timeZone: "UTC" });
  }
});

// core/ride/schema.ts
import { z as z9 } from "zod";
var startsBetween, startYears, nightSchema, speed, defaultPace, rideSchema;
var init_schema4 = __esm({
  "core/ride/schema.ts"() {
    init_road();
    init_validation();
    init_wall_clock();
    startsBetween = { first: "1900-01-01T00:00", last: "2199-12-31T23:59" };
    startYears = `${startsBetween.first.slice(0, 4)} to ${startsBetween.last.slice(0, 4)}`;
    nightSchema = z9.object({
      id: idSchema,
      roadKm: z9.number().min(0),
      /** The stop it is spent at, and goes along with; null out on the road. One that is not there any more counts as none. */
      stop: idSchema.nullable().default(null),
      nights: z9.number().int().min(1).max(30).default(1)
    });
    speed = z9.number().min(1).max(60);
    defaultPace = {
      asphalt: 20,
      gravel: 15,
      track: 12,
      singletrack: 8,
      sand: 6,
      mud: 5
    };
    rideSchema = z9.object({
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
  }
});

// core/ride/pace.ts
function ridingAlong(survey, stretches, ride) {
  const { km, upM } = survey;
  const hoursPerKm = new Float64Array(km.length).fill(1 / ride.pace[usualSurface]);
  const hours = new Float64Array(km.length);
  for (const { fromKm, toKm, surface } of stretches) {
    for (let i = pointBefore(km, fromKm); i + 1 < km.length && numberAt(km, i) < toKm; i++) {
      const length = numberAt(km, i + 1) - numberAt(km, i);
      if (length <= 0) continue;
      const covered = (Math.min(toKm, numberAt(km, i + 1)) - Math.max(fromKm, numberAt(km, i))) / length;
      if (covered > 0) hoursPerKm[i] = covered / ride.pace[surface] + (1 - covered) * numberAt(hoursPerKm, i);
    }
  }
  for (let i = 1; i < km.length; i++) {
    const level = (numberAt(km, i) - numberAt(km, i - 1)) * numberAt(hoursPerKm, i - 1);
    hours[i] = numberAt(hours, i - 1) + level + (numberAt(upM, i) - numberAt(upM, i - 1)) / ride.climbMPerH;
  }
  return hours;
}
var usualSurface;
var init_pace = __esm({
  "core/ride/pace.ts"() {
    init_validation();
    init_road();
    usualSurface = "gravel";
  }
});

// core/ride/nights.ts
function nearestTo(places, roadKm) {
  const away = (place) => Math.abs(place.roadKm - roadKm);
  return places.filter((place) => away(place) <= samePlaceKm).sort((a, b) => away(a) - away(b))[0];
}
var samePlaceKm;
var init_nights = __esm({
  "core/ride/nights.ts"() {
    samePlaceKm = 1;
  }
});

// core/ride/timetable.ts
function evenShare(days2) {
  return days2 > 0 ? days2 / Math.ceil(days2 - overADay) : 1;
}
var leastRestH, lastStretchH, longestDay, overADay, Timetable;
var init_timetable = __esm({
  "core/ride/timetable.ts"() {
    init_validation();
    init_road();
    init_nights();
    init_pace();
    init_wall_clock();
    leastRestH = 6;
    lastStretchH = 0.5;
    longestDay = 1.5;
    overADay = 0.25;
    Timetable = class {
      /**
       * @param survey the measured road; with a length
       * @throws RangeError when the ride has no start
       */
      constructor(survey, road, ride) {
        this.survey = survey;
        this.ride = ride;
        if (ride.start === null) throw new RangeError("a ride without a start has no timetable");
        this.hours = ridingAlong(survey, road.stretches, ride);
        this.days = this.planDays(parseWallClock(ride.start));
      }
      survey;
      ride;
      days;
      hours;
      /** Hours in the saddle to a place. */
      ridingHoursTo(roadKm) {
        return valueAt(this.survey.km, this.hours, roadKm);
      }
      /** When a place is passed; where a night is spent, when one gets there. */
      clockAt(roadKm) {
        const day3 = this.days.find(({ toKm }) => roadKm <= toKm) ?? nth(this.days, this.days.length - 1);
        const ridden = this.ridingHoursTo(roadKm) - this.ridingHoursTo(day3.fromKm);
        return Math.min(day3.endsAt, day3.startsAt + Math.max(0, ridden) * this.minutesPerRidingHour);
      }
      /** From when to when one is at a place: over night where one sleeps, else just passing. */
      stayAt(roadKm) {
        const evening = nearestTo(
          this.days.slice(0, -1).map((day3, i) => ({ roadKm: day3.toKm, endsAt: day3.endsAt, morning: nth(this.days, i + 1) })),
          roadKm
        );
        if (evening) return { arrives: evening.endsAt, leaves: evening.morning.startsAt };
        const passes = this.clockAt(roadKm);
        return { arrives: passes, leaves: passes };
      }
      get minutesPerRidingHour() {
        return 60 * (1 + this.ride.pauseH);
      }
      planDays(start2) {
        const { lengthKm: lengthKm2, km, upM } = this.survey;
        const settled = [...this.ride.nights].sort((a, b) => a.roadKm - b.roadKm);
        const days2 = [];
        let fromKm = 0;
        let startsAt = start2;
        while (fromKm < lengthKm2) {
          const next = settled.find(({ roadKm }) => roadKm > fromKm && roadKm < lengthKm2);
          const daysToNext = next ? (this.ridingHoursTo(next.roadKm) - this.ridingHoursTo(fromKm)) / this.ride.ridingH : 0;
          const night = daysToNext <= longestDay ? next : void 0;
          const toKm = night?.roadKm ?? this.kmAfterHours(fromKm, this.ride.ridingH * evenShare(daysToNext));
          const ridingH = this.ridingHoursTo(toKm) - this.ridingHoursTo(fromKm);
          const endsAt = startsAt + ridingH * this.minutesPerRidingHour;
          const climbM = valueAt(km, upM, toKm) - valueAt(km, upM, fromKm);
          days2.push({ fromKm, toKm, startsAt, endsAt, ridingH, climbM });
          startsAt = this.nextMorning(endsAt) + ((night?.nights ?? 1) - 1) * minutesPerDay;
          fromKm = toKm;
        }
        return days2;
      }
      /** How far a day's hours reach; to the end of the road where little would be left. */
      kmAfterHours(fromKm, ridingH) {
        const { km, lengthKm: lengthKm2 } = this.survey;
        const until = this.ridingHoursTo(fromKm) + ridingH;
        const last = numberAt(this.hours, this.hours.length - 1);
        if (until + lastStretchH >= last) return lengthKm2;
        const i = pointBefore(this.hours, until);
        const step = numberAt(this.hours, i + 1) - numberAt(this.hours, i);
        return numberAt(km, i) + (until - numberAt(this.hours, i)) / step * (numberAt(km, i + 1) - numberAt(km, i));
      }
      nextMorning(evening) {
        const earliest = evening + leastRestH * 60;
        const today = midnightBefore(earliest) + this.ride.dayStartsH * 60;
        return today >= earliest ? today : today + minutesPerDay;
      }
    };
  }
});

// core/ride/daylight.ts
import { getTimes } from "suncalc";
var init_daylight = __esm({
  "core/ride/daylight.ts"() {
    init_wall_clock();
  }
});

// core/ride/holiday-countries.ts
var holidayCountries;
var init_holiday_countries = __esm({
  "core/ride/holiday-countries.ts"() {
    holidayCountries = new Set(
      "ar at au be bg br by ca ch ci cn cz de dk ee es fi fr ge gg gi gr hr hu ie im it je jp lt lu lv mc md mt mx na nf nl no nz pl pm pt ro rs ru se si sj sk sm ua us vn xa za".split(" ")
    );
  }
});

// core/ride/opening.ts
import OpeningRules from "opening_hours";
function byDay(tidy) {
  return tidy.replace(
    /(\d\d):(\d\d)-(\d\d):(\d\d)/g,
    (span2, h1, m1, h2, m2) => Number(h2) < 12 && `${h2}${m2}` <= `${h1}${m1}` ? `${h1}:${m1}-${Number(h2) + 12}:${m2}` : span2
  );
}
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
var aYear, readerSettings, isTwofold, nothingYet, beyondCalendars;
var init_opening = __esm({
  "core/ride/opening.ts"() {
    init_holiday_countries();
    init_wall_clock();
    aYear = 366 * 24 * 60;
    readerSettings = {
      mode: 0,
      locale: "en",
      tag_key: "opening_hours",
      map_value: false,
      warnings_severity: 4
    };
    isTwofold = (warning) => /could mean/.test(warning);
    nothingYet = /^[\s;]+/;
    beyondCalendars = /\d{5}/;
  }
});

// core/ride/week.ts
var init_week = __esm({
  "core/ride/week.ts"() {
    init_wall_clock();
  }
});

// core/ride/hours-format.ts
var day, days, time, span, rule;
var init_hours_format = __esm({
  "core/ride/hours-format.ts"() {
    init_validation();
    init_week();
    day = "Mo|Tu|We|Th|Fr|Sa|Su";
    days = `(?:${day})(?:-(?:${day}))?`;
    time = String.raw`\d\d:\d\d`;
    span = `${time}-${time}`;
    rule = new RegExp(`^(?:(${days}(?:,\\s*${days})*) )?(${span}(?:,\\s*${span})?)$`);
  }
});

// core/ride/visit.ts
function readable(text2, locality) {
  const opening = readOpening(text2, locality);
  return "error" in opening ? void 0 : opening;
}
var mostKept, goesByTheSun, sunDegrees, OpeningCache, sharedOpeningCache;
var init_visit = __esm({
  "core/ride/visit.ts"() {
    init_opening();
    mostKept = 200;
    goesByTheSun = /sun|dawn|dusk/i;
    sunDegrees = 0.1;
    OpeningCache = class {
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
    sharedOpeningCache = new OpeningCache();
  }
});

// core/ride/clock-doubt.ts
var init_clock_doubt = __esm({
  "core/ride/clock-doubt.ts"() {
  }
});

// core/ride/days.ts
var init_days = __esm({
  "core/ride/days.ts"() {
    init_road();
    init_daylight();
  }
});

// core/ride/out-by.ts
var init_out_by = __esm({
  "core/ride/out-by.ts"() {
    init_daylight();
    init_wall_clock();
  }
});

// core/ride/index.ts
var init_ride = __esm({
  "core/ride/index.ts"() {
    init_wall_clock();
    init_schema4();
    init_pace();
    init_timetable();
    init_daylight();
    init_holiday_countries();
    init_opening();
    init_week();
    init_hours_format();
    init_visit();
    init_clock_doubt();
    init_days();
    init_out_by();
    init_nights();
  }
});

// core/fit/force.ts
var defaultHandN;
var init_force = __esm({
  "core/fit/force.ts"() {
    defaultHandN = 400;
  }
});

// core/fit/turn-result.ts
var init_turn_result = __esm({
  "core/fit/turn-result.ts"() {
  }
});

// core/fit/engagement.ts
var hold, fits, another;
var init_engagement = __esm({
  "core/fit/engagement.ts"() {
    hold = (verdict, reason) => ({ verdict, reason });
    fits = hold("turns", "fits");
    another = hold("cannot", "wrong-profile");
  }
});

// core/fit/turn.ts
var init_turn = __esm({
  "core/fit/turn.ts"() {
    init_bike();
    init_force();
    init_engagement();
    init_turn_result();
  }
});

// core/fit/tool.ts
var init_tool = __esm({
  "core/fit/tool.ts"() {
  }
});

// core/bench/head.ts
import { z as z10 } from "zod";
var fixedHeads, openingHeads, numberedHeads, namedHeads, sizelessHeads, common, headSchema;
var init_head = __esm({
  "core/bench/head.ts"() {
    fixedHeads = ["hex", "slot", "open-end", "ring", "socket", "spoke-key"];
    openingHeads = ["adjustable", "pliers"];
    numberedHeads = ["hexalobular", "phillips", "pozidriv"];
    namedHeads = ["spline", "valve-core"];
    sizelessHeads = ["chain-pin", "link-pliers"];
    common = {
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
    headSchema = z10.discriminatedUnion("profile", [
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
  }
});

// core/bench/measures.ts
import { z as z11 } from "zod";
var measure, measuresSchema, measureNames;
var init_measures = __esm({
  "core/bench/measures.ts"() {
    measure = (least, most) => z11.number().min(least).max(most).nullable().default(null);
    measuresSchema = z11.object({
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
    measureNames = Object.keys(measuresSchema.shape);
  }
});

// core/bench/schema.ts
import { z as z12 } from "zod";
var pinSchema, thingSchema, catalogueItemSchema;
var init_schema5 = __esm({
  "core/bench/schema.ts"() {
    init_validation();
    init_head();
    init_measures();
    pinSchema = z12.object({ min: z12.number().int().min(0).max(99), max: z12.number().int().min(0).max(99) }).refine((pin) => pin.max >= pin.min, { message: "a pin whose max is not below its min", path: ["max"] });
    thingSchema = z12.object({
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
    catalogueItemSchema = z12.object({
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
  }
});

// core/bench/doubles.ts
var init_doubles = __esm({
  "core/bench/doubles.ts"() {
  }
});

// core/bench/tool-condition.ts
var init_tool_condition = __esm({
  "core/bench/tool-condition.ts"() {
  }
});

// core/bench/from-catalogue.ts
function thingFrom({ source: _, group: __, ...item }, id2, count = 1) {
  return thingSchema.parse({ ...item, id: id2, from: item.id, count });
}
var init_from_catalogue = __esm({
  "core/bench/from-catalogue.ts"() {
    init_schema5();
  }
});

// core/bench/index.ts
var init_bench = __esm({
  "core/bench/index.ts"() {
    init_head();
    init_measures();
    init_schema5();
    init_doubles();
    init_tool_condition();
    init_from_catalogue();
  }
});

// core/fit/big-wrench.ts
var bigWrench;
var init_big_wrench = __esm({
  "core/fit/big-wrench.ts"() {
    init_bench();
    bigWrench = {
      id: "a big wrench to borrow",
      comesApart: false,
      heads: [headSchema.parse({ profile: "adjustable", size: 36, leverMm: 300, thickMm: 14, bodyMm: 20, reachMm: 40 })]
    };
  }
});

// core/fit/ways.ts
var init_ways = __esm({
  "core/fit/ways.ts"() {
    init_force();
    init_big_wrench();
    init_turn();
    init_turn_result();
  }
});

// core/fit/demands.ts
var init_demands = __esm({
  "core/fit/demands.ts"() {
    init_force();
    init_turn();
    init_turn_result();
    init_ways();
  }
});

// core/fit/crew-fit.ts
var init_crew_fit = __esm({
  "core/fit/crew-fit.ts"() {
    init_force();
    init_big_wrench();
    init_ways();
  }
});

// core/maths/gamma.ts
import gammainc from "@stdlib/math-base-special-gammainc";
var init_gamma = __esm({
  "core/maths/gamma.ts"() {
  }
});

// core/maths/chance.ts
var init_chance = __esm({
  "core/maths/chance.ts"() {
    init_gamma();
  }
});

// core/maths/set-cover.ts
var init_set_cover = __esm({
  "core/maths/set-cover.ts"() {
    init_validation();
  }
});

// core/maths/add-up.ts
var init_add_up = __esm({
  "core/maths/add-up.ts"() {
    init_validation();
  }
});

// core/maths/list-map.ts
var init_list_map = __esm({
  "core/maths/list-map.ts"() {
  }
});

// core/maths/index.ts
var init_maths = __esm({
  "core/maths/index.ts"() {
    init_gamma();
    init_chance();
    init_set_cover();
    init_add_up();
    init_list_map();
  }
});

// core/fit/lightest-addition.ts
var init_lightest_addition = __esm({
  "core/fit/lightest-addition.ts"() {
    init_validation();
    init_maths();
    init_force();
    init_ways();
  }
});

// core/fit/fit-view.ts
var init_fit_view = __esm({
  "core/fit/fit-view.ts"() {
    init_lightest_addition();
    init_crew_fit();
    init_tool();
  }
});

// core/fit/shorthand.ts
var init_shorthand = __esm({
  "core/fit/shorthand.ts"() {
    init_bench();
    init_bike();
    init_validation();
  }
});

// core/fit/index.ts
var init_fit = __esm({
  "core/fit/index.ts"() {
    init_force();
    init_turn_result();
    init_engagement();
    init_turn();
    init_tool();
    init_ways();
    init_demands();
    init_big_wrench();
    init_crew_fit();
    init_lightest_addition();
    init_fit_view();
    init_shorthand();
  }
});

// core/hazard/schema.ts
import { z as z13 } from "zod";
var roadTraits, bikeTraitSchema, roadTraitSchema, appliesSchema, common2, suddenHazardSchema, wearingParts, wearingHazardSchema, hazardSchema;
var init_schema6 = __esm({
  "core/hazard/schema.ts"() {
    init_bike();
    init_road();
    roadTraits = [...surfaces, "thorns", "wet"];
    bikeTraitSchema = z13.enum(bikeTraits);
    roadTraitSchema = z13.enum(roadTraits);
    appliesSchema = z13.object({ all: z13.array(bikeTraitSchema).default([]), none: z13.array(bikeTraitSchema).default([]) }).prefault({});
    common2 = {
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
    suddenHazardSchema = z13.object({
      kind: z13.literal("sudden"),
      ...common2,
      /** Events per 1000 km, a Gamma belief: its mean and the thousands of km of experience behind it. */
      per1000km: z13.number().gt(0),
      onThousandKm: z13.number().gt(0).default(5)
    });
    wearingParts = ["pads", "chain", "tread", "sealant", "lube", "cables"];
    wearingHazardSchema = z13.object({
      kind: z13.literal("wearing"),
      ...common2,
      part: z13.enum(wearingParts),
      /** Mean life of a new one in km of gravel. */
      lifeKm: z13.number().gt(0),
      /** Standard deviation of a life as a share of its mean. */
      spread: z13.number().gt(0).max(1)
    });
    hazardSchema = z13.discriminatedUnion("kind", [suddenHazardSchema, wearingHazardSchema]);
  }
});

// core/hazard/applies.ts
var init_applies = __esm({
  "core/hazard/applies.ts"() {
  }
});

// core/hazard/rate.ts
var init_rate = __esm({
  "core/hazard/rate.ts"() {
  }
});

// core/hazard/life-left.ts
var init_life_left = __esm({
  "core/hazard/life-left.ts"() {
  }
});

// core/hazard/limp.ts
var init_limp = __esm({
  "core/hazard/limp.ts"() {
  }
});

// core/hazard/index.ts
var init_hazard = __esm({
  "core/hazard/index.ts"() {
    init_schema6();
    init_applies();
    init_rate();
    init_life_left();
    init_limp();
  }
});

// core/fix/schema.ts
import { z as z14 } from "zod";
var grades, gradeSchema, tyreAmounts, fixSchema;
var init_schema7 = __esm({
  "core/fix/schema.ts"() {
    init_hazard();
    grades = ["lasting", "to the next shop", "walking pace"];
    gradeSchema = z14.enum(grades);
    tyreAmounts = ["to ride", "to seat", "for the tyre"];
    fixSchema = z14.object({
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
  }
});

// core/fix/residual.ts
var init_residual = __esm({
  "core/fix/residual.ts"() {
  }
});

// core/fix/index.ts
var init_fix = __esm({
  "core/fix/index.ts"() {
    init_schema7();
    init_residual();
  }
});

// core/supply/family.ts
import { z as z15 } from "zod";
var variantKinds, fitRules, supplyFamilySchema;
var init_family = __esm({
  "core/supply/family.ts"() {
    init_bench();
    variantKinds = ["none", "bead", "speeds", "shape", "length", "kind"];
    fitRules = ["size", "tube", "tyre", "spoke", "brake cable", "shift cable", "valve stem"];
    supplyFamilySchema = z15.object({
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
  }
});

// core/supply/service.ts
import { z as z16 } from "zod";
var serviceKindSchema, knownFroms, serviceSchema, exitKinds, stopSchema;
var init_service = __esm({
  "core/supply/service.ts"() {
    init_validation();
    init_family();
    serviceKindSchema = z16.object({
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
    knownFroms = ["asked", "visited", "map", "hearsay"];
    serviceSchema = z16.object({
      kind: text(40).min(1),
      knownFrom: z16.enum(knownFroms).default("map"),
      /** Opening hours in the OpenStreetMap syntax; empty when unknown. */
      hours: text(200).default(""),
      /** What is known of this very place: class → chance that it is there. */
      stocks: z16.record(text(60), z16.number().min(0).max(1)).default({}),
      /** What one has posted there for oneself: class → amount. */
      parcel: z16.record(text(60), z16.number().gt(0).max(1e4)).default({})
    });
    exitKinds = ["train", "bus", "ferry", "lift"];
    stopSchema = z16.object({
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
  }
});

// core/supply/counter.ts
import { z as z17 } from "zod";
var counterQuestionSchema, counterAnswerSchema;
var init_counter = __esm({
  "core/supply/counter.ts"() {
    init_validation();
    counterQuestionSchema = z17.object({
      /** The kind of service. */
      kind: text(40).min(1),
      place: nameSchema,
      /** The part, with its size. */
      classId: idSchema
    });
    counterAnswerSchema = z17.discriminatedUnion("answer", [
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
  }
});

// core/supply/place-words.ts
import { z as z18 } from "zod";
var placeHasSchema, placeWordsSchema;
var init_place_words = __esm({
  "core/supply/place-words.ts"() {
    init_service();
    placeHasSchema = z18.union([z18.object({ service: z18.string() }), z18.object({ exit: z18.enum(exitKinds) })]);
    placeWordsSchema = z18.object({
      has: placeHasSchema,
      /**
       * Words or phrases in small letters without accents. A star stands for the rest of a word: "fahrrad*", "*werkstatt".
       */
      words: z18.array(z18.string().regex(/^[a-z0-9*]+(?: [a-z0-9*]+)*$/)).transform((phrases) => phrases.map((phrase) => phrase.split(" "))),
      /** Words that, just before or after, say that it is something else: "water street", "coffee shop". */
      butNot: z18.array(z18.string()).default([])
    });
  }
});

// core/supply/index.ts
var init_supply = __esm({
  "core/supply/index.ts"() {
    init_family();
    init_service();
    init_counter();
    init_place_words();
  }
});

// core/reference/schema.ts
import { z as z19 } from "zod";
var toolFunctionSchema, chance, handRowSchema, referenceSchema;
var init_schema8 = __esm({
  "core/reference/schema.ts"() {
    init_bench();
    init_bike();
    init_crew();
    init_fix();
    init_hazard();
    init_supply();
    toolFunctionSchema = z19.object({
      id: z19.string(),
      name: z19.string(),
      /** The valve that it pumps up by hand, stroke by stroke. */
      pumps: z19.enum(["presta", "schrader"]).optional()
    });
    chance = z19.number().min(0).max(1);
    handRowSchema = z19.tuple([chance, chance, chance, chance]).readonly();
    referenceSchema = z19.object({
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
  }
});

// core/reference/planning.ts
import { z as z20 } from "zod";
function kindOf(key) {
  const found = shape2.exec(key)?.slice(1).find(Boolean);
  return found === void 0 ? void 0 : found;
}
var ranges, shape2, planningSchema, planningChangeSchema;
var init_planning = __esm({
  "core/reference/planning.ts"() {
    init_crew();
    ranges = {
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
    shape2 = /^(?:hazards\.[a-z0-9-]{1,40}\.(per1000km|stops|limpShare|lifeKm)|fixes\.[a-z0-9-]{1,40}\.(holds|minutes|lastsKm)|(hands)\.(?:easy|medium|hard)\.[0-3]|(works)\.(?:pump|compressor|folding|lever|simple))$/;
    planningSchema = z20.record(z20.string().max(80), z20.number()).superRefine((values, context) => {
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
    planningChangeSchema = z20.object({
      planning: planningSchema.default({}),
      back: z20.array(z20.string().max(80).refine(kindOf, 'a planning value of the reference, as in "hands.easy.2"')).max(500).default([])
    });
  }
});

// core/reference/index.ts
var init_reference = __esm({
  "core/reference/index.ts"() {
    init_schema8();
    init_planning();
  }
});

// core/trip/dials.ts
import { z as z21 } from "zod";
var reckoningNow, dialsSchema, dialNames;
var init_dials = __esm({
  "core/trip/dials.ts"() {
    init_fit();
    init_reference();
    init_road();
    reckoningNow = 2;
    dialsSchema = z21.object({
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
    dialNames = Object.keys(dialsSchema.shape);
  }
});

// core/weather/by-hand.ts
var init_by_hand = __esm({
  "core/weather/by-hand.ts"() {
    init_validation();
  }
});

// core/weather/schema.ts
import { z as z22 } from "zod";
var weatherDaySchema, forecastSchema;
var init_schema9 = __esm({
  "core/weather/schema.ts"() {
    init_ride();
    init_validation();
    weatherDaySchema = z22.object({
      date: z22.string().refine((text2) => isWallClock(`${text2}T00:00`), { message: "a date such as 2026-06-12" }),
      lowC: z22.number().min(-60).max(50),
      highC: z22.number().min(-60).max(60),
      rainMm: z22.number().min(0).max(500),
      windKmH: z22.number().min(0).max(300)
    }).refine((day3) => day3.highC >= day3.lowC, { message: "a high that is not below the low", path: ["highC"] });
    forecastSchema = z22.object({
      /** Who says so; empty when typed by hand. */
      from: text(120).default(""),
      days: z22.array(weatherDaySchema).max(400).default([])
    });
  }
});

// core/weather/effects.ts
var init_effects = __esm({
  "core/weather/effects.ts"() {
  }
});

// core/weather/index.ts
var init_weather = __esm({
  "core/weather/index.ts"() {
    init_by_hand();
    init_schema9();
    init_effects();
  }
});

// core/trip/schema.ts
import { z as z23 } from "zod";
var tripFormat, partSchemas, partNames, tripSchema;
var init_schema10 = __esm({
  "core/trip/schema.ts"() {
    init_bench();
    init_bike();
    init_crew();
    init_ride();
    init_road();
    init_supply();
    init_validation();
    init_weather();
    init_dials();
    tripFormat = "rag-tin.trip/3";
    partSchemas = {
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
    partNames = Object.keys(partSchemas);
    tripSchema = z23.object({
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
  }
});

// core/trip/revision.ts
import { z as z24 } from "zod";
var revisionSchema;
var init_revision = __esm({
  "core/trip/revision.ts"() {
    init_validation();
    revisionSchema = z24.object({ number: z24.number().int().min(0), save: text(36) });
  }
});

// core/trip/check.ts
var init_check = __esm({
  "core/trip/check.ts"() {
    init_supply();
    init_validation();
  }
});

// core/trip/migration-1.ts
var init_migration_1 = __esm({
  "core/trip/migration-1.ts"() {
    init_validation();
    init_bench();
    init_bike();
  }
});

// core/trip/migration-2.ts
var init_migration_2 = __esm({
  "core/trip/migration-2.ts"() {
    init_ride();
  }
});

// core/trip/read.ts
var newest;
var init_read = __esm({
  "core/trip/read.ts"() {
    init_validation();
    init_road();
    init_check();
    init_migration_1();
    init_migration_2();
    init_schema10();
    newest = Number(tripFormat.split("/")[1]);
  }
});

// core/trip/json-schema.ts
import { z as z25 } from "zod";
var init_json_schema = __esm({
  "core/trip/json-schema.ts"() {
    init_schema10();
  }
});

// core/trip/import-road.ts
var init_import_road = __esm({
  "core/trip/import-road.ts"() {
    init_road();
    init_supply();
    init_validation();
  }
});

// core/trip/export-road.ts
function gpxSymbolOf(stop, reference) {
  const names = stop.services.flatMap(({ kind }) => reference.services.find(({ id: id2 }) => id2 === kind)?.name ?? []);
  return [...names, ...stop.exit ? [stop.exit] : []].join(", ") || "place";
}
function exportGpx(trip, survey, reference, withTimes) {
  const places = trip.stops.map((stop) => ({
    name: stop.name,
    roadKm: stop.roadKm,
    about: stop.note,
    symbol: gpxSymbolOf(stop, reference)
  }));
  if (!withTimes || trip.ride.start === null) return writeGpx(trip.road, survey, places);
  const timetable = new Timetable(survey, trip.road, trip.ride);
  const universal = (roadKm) => `${formatWallClock(timetable.clockAt(roadKm) - trip.ride.utcOffsetH * 60)}:00Z`;
  return writeGpx(trip.road, survey, places, universal);
}
var init_export_road = __esm({
  "core/trip/export-road.ts"() {
    init_ride();
    init_road();
  }
});

// core/trip/reshape-road.ts
var init_reshape_road = __esm({
  "core/trip/reshape-road.ts"() {
    init_validation();
    init_road();
    init_import_road();
  }
});

// core/trip/move-stop.ts
var init_move_stop = __esm({
  "core/trip/move-stop.ts"() {
    init_import_road();
  }
});

// core/trip/index.ts
var init_trip = __esm({
  "core/trip/index.ts"() {
    init_dials();
    init_schema10();
    init_revision();
    init_check();
    init_migration_1();
    init_migration_2();
    init_read();
    init_json_schema();
    init_import_road();
    init_export_road();
    init_reshape_road();
    init_move_stop();
  }
});

// catalogue/fasteners.ts
function fastener(name, part, drive, [least, most], more = {}) {
  return { id: idOf(name), name, part, drive, torqueNm: { least, most }, ...more };
}
var hex, torx, phillips, pozidriv, nut, spline, byHand, idOf, workshop, runningGear, axlesByKey, axlesByHand, axleNuts, crankByBolt, crankByPinch, chainringBolts, pedalsByKey, pedalsByFlats, cleatBolts, cassette, derailleur, shifterClamp, discBrakes, cableAnchors, rimBrakes, leverClamps, stem, headsetCap, threadedHeadset, seat, saddleBolts, saddleNuts, bottleCages, rack, mudguards, lights, suspensionFork, pivots;
var init_fasteners = __esm({
  "catalogue/fasteners.ts"() {
    hex = (size) => ({ profile: "hex", size });
    torx = (size) => ({ profile: "hexalobular", size });
    phillips = (size) => ({ profile: "phillips", size });
    pozidriv = (size) => ({ profile: "pozidriv", size });
    nut = (size) => ({ profile: "flats", size });
    spline = (size) => ({ profile: "spline", size });
    byHand = { profile: "by-hand" };
    idOf = (name) => name.toLowerCase().replace(/[^a-z0-9]+/g, "-");
    workshop = "bearings: a workshop, and seldom on the road";
    runningGear = (valve, nippleMm = 3.2) => [
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
    axlesByKey = [
      fastener("Axle, front", "front hub", hex(6), [10, 12], { role: "axle-front" }),
      fastener("Axle, rear", "rear hub", hex(6), [10, 12], { role: "axle-rear" })
    ];
    axlesByHand = [
      fastener("Quick release, front", "front hub", byHand, [0, 0], { role: "axle-front" }),
      fastener("Quick release, rear", "rear hub", byHand, [0, 0], { role: "axle-rear" })
    ];
    axleNuts = (mm) => [
      fastener("Axle nuts, front", "front hub", nut(mm), [20, 25], { role: "axle-front", count: 2 }),
      fastener("Axle nuts, rear", "rear hub", nut(mm), [25, 35], { role: "axle-rear", count: 2 })
    ];
    crankByBolt = [
      fastener("Crank bolts", "crank", hex(8), [40, 48], { role: "crank-bolt", count: 2, recessMm: 12 }),
      fastener("Bottom bracket cups", "bottom bracket", spline("b1"), [35, 50], { count: 2, canWait: workshop })
    ];
    crankByPinch = [
      fastener("Crank pinch bolts", "crank", hex(5), [12, 14], { role: "crank-bolt", count: 2 }),
      fastener("Crank preload cap", "crank", spline("p1"), [0.7, 1.5], { canWait: "holds once the pinch bolts are tight" }),
      fastener("Bottom bracket cups", "bottom bracket", spline("b2"), [35, 50], { count: 2, canWait: workshop })
    ];
    chainringBolts = (drive, count) => fastener("Chainring bolts", "chainring", drive, [8, 10], { role: "chainring-bolt", count });
    pedalsByKey = (mm) => fastener("Pedals", "pedals", hex(mm), [30, 35], { role: "pedal", count: 2, recessMm: 14 });
    pedalsByFlats = fastener("Pedals", "pedals", nut(15), [30, 35], {
      role: "pedal",
      count: 2,
      openEndOnly: true,
      gapMm: 6
    });
    cleatBolts = (count) => fastener("Cleat bolts", "pedals", hex(4), [4, 6], { role: "cleat-bolt", count, recessMm: 3 });
    cassette = fastener("Cassette lockring", "cassette", spline("c1"), [30, 40], { role: "lockring" });
    derailleur = (pulley, limit, anchor) => [
      fastener("Derailleur bolt", "derailleur", hex(5), [8, 10], { role: "derailleur-bolt" }),
      fastener("Pulley bolts", "derailleur", pulley, [2, 3], { role: "pulley-bolt", count: 2 }),
      fastener("Limit screws", "derailleur", limit, [0, 0.5], { role: "limit-screw", count: 2 }),
      fastener("Shift cable anchor", "derailleur", anchor, [4, 6], { role: "shift-anchor" })
    ];
    shifterClamp = (drive) => fastener("Shifter clamp", "shifter", drive, [3, 5]);
    discBrakes = (padPin, rotor, rotorBolts) => [
      fastener("Calliper bolts, front", "front brake", hex(5), [6, 8], { role: "calliper", count: 2 }),
      fastener("Calliper bolts, rear", "rear brake", hex(5), [6, 8], { role: "calliper", count: 2 }),
      fastener("Pad pin, front", "front brake", padPin, [1, 3], { role: "pad-pin", recessMm: 4 }),
      fastener("Pad pin, rear", "rear brake", padPin, [1, 3], { role: "pad-pin", recessMm: 4 }),
      fastener("Rotor bolts, front", "front rotor", rotor, [4, 6], { role: "rotor-bolt", count: rotorBolts }),
      fastener("Rotor bolts, rear", "rear rotor", rotor, [4, 6], { role: "rotor-bolt", count: rotorBolts })
    ];
    cableAnchors = [
      fastener("Brake cable anchor, front", "front brake", hex(5), [6, 8], { role: "brake-anchor" }),
      fastener("Brake cable anchor, rear", "rear brake", hex(5), [6, 8], { role: "brake-anchor" })
    ];
    rimBrakes = (pad) => [
      fastener("Brake arm bolts, front", "front brake", hex(5), [6, 9], { role: "calliper", count: 2 }),
      fastener("Brake arm bolts, rear", "rear brake", hex(5), [6, 9], { role: "calliper", count: 2 }),
      fastener("Pad nuts, front", "front brake", pad, [5, 7], { role: "pad-pin", count: 2, swingDeg: 100 }),
      fastener("Pad nuts, rear", "rear brake", pad, [5, 7], { role: "pad-pin", count: 2, swingDeg: 100 })
    ];
    leverClamps = (drive) => fastener("Brake lever clamps", "bar", drive, [4, 6], { count: 2 });
    stem = (face, clamp, more = {}) => [
      fastener("Stem face plate", "stem", face, [5, 6], { role: "stem", count: 4, ...more }),
      fastener("Stem clamp", "stem", clamp, [5, 6], { role: "stem", count: 2, ...more })
    ];
    headsetCap = (drive) => fastener("Headset cap", "headset", drive, [1, 3], { role: "headset" });
    threadedHeadset = fastener("Headset lock nut", "headset", nut(32), [15, 20], {
      role: "headset-nut"
    });
    seat = (clamp, more = {}) => [
      fastener("Seat clamp", "seat post", clamp, [5, 6], { role: "seat-clamp", ...more })
    ];
    saddleBolts = (drive, count) => fastener("Saddle clamp", "saddle", drive, [10, 14], {
      role: "saddle",
      count,
      recessMm: 22,
      roomMm: 18,
      swingDeg: 140
    });
    saddleNuts = (mm) => fastener("Saddle clamp", "saddle", nut(mm), [12, 16], { role: "saddle", count: 2, swingDeg: 90 });
    bottleCages = (count, drive = hex(4)) => fastener("Cage bolts", "mounts", drive, [2, 3], { role: "cage-bolt", count: 2 * count });
    rack = (count) => [
      fastener("Rack bolts", "rack", hex(4), [4, 6], { role: "rack-bolt", count }),
      fastener("Rack stay nuts", "rack", hex(4), [4, 6], { role: "rack-bolt", count: 2, counterhold: nut(8) })
    ];
    mudguards = (drive) => [
      fastener("Mudguard stays", "mudguards", nut(8), [2, 4], { role: "mudguard-bolt", count: 4, swingDeg: 120 }),
      fastener("Mudguard bridge", "mudguards", drive, [2, 4], { role: "mudguard-bolt", count: 2 })
    ];
    lights = (drive) => fastener("Light bracket", "lights", drive, [1, 3], { role: "light", count: 2 });
    suspensionFork = [
      fastener("Fork air cap", "fork", { profile: "valve-core", size: "schrader" }, [0.2, 0.4], {
        canWait: "wants a shock pump, and rides low without"
      }),
      fastener("Fork lowers", "fork", hex(5), [6, 10], { count: 2, canWait: workshop })
    ];
    pivots = [
      fastener("Main pivot", "pivots", hex(6), [14, 18], { role: "pivot", count: 1 }),
      fastener("Link pivots", "pivots", hex(5), [10, 14], { role: "pivot", count: 4 }),
      fastener("Shock bolts", "shock", hex(5), [9, 12], { role: "pivot", count: 2 })
    ];
  }
});

// catalogue/bikes.ts
function bikeFrom(kind, id2) {
  return bikeSchema.parse({ ...starts[kind], kind, id: id2 });
}
var tyre, wheels, discFront, discRear, rimFront, rimRear, carbon, trailGear, starts, bikeStarts, bikes;
var init_bikes = __esm({
  "catalogue/bikes.ts"() {
    init_bike();
    init_fasteners();
    tyre = (size, tubeless, protection = "normal") => ({
      front: { size, tubeless, protection },
      rear: { size, tubeless, protection }
    });
    wheels = (erdMm, holes, crossings, front, rear) => {
      const wheel = ([leftMm, leftOffsetMm, rightMm, rightOffsetMm]) => ({
        erdMm,
        holes,
        crossings,
        left: { flangeMm: leftMm, offsetMm: leftOffsetMm },
        right: { flangeMm: rightMm, offsetMm: rightOffsetMm }
      });
      return { front: wheel(front), rear: wheel(rear) };
    };
    discFront = [58, 21, 45, 34];
    discRear = [58, 34, 54, 19];
    rimFront = [38, 35, 38, 35];
    rimRear = [45, 37, 45, 18];
    carbon = { wantsTorqueKey: true };
    trailGear = [
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
    starts = {
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
    bikeStarts = bikeKinds.map((id2) => ({ id: id2, name: starts[id2].name }));
    bikes = bikeStarts.map(({ id: id2 }) => bikeFrom(id2, id2));
  }
});

// catalogue/services.ts
import { z as z26 } from "zod";
var written2, services;
var init_services = __esm({
  "catalogue/services.ts"() {
    init_supply();
    written2 = [
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
    services = z26.array(serviceKindSchema).parse(written2);
  }
});

// catalogue/heads.ts
var folded, folding, foldingEnd, keyArmsMm, keys, bits, driver, spanner, nippleKeys, chainBreaker, linkPliers, coreKeys, gripping;
var init_heads = __esm({
  "catalogue/heads.ts"() {
    init_validation();
    folded = { leverMm: 65, reachMm: 24, bodyMm: 14 };
    folding = (profile, ...sizes2) => sizes2.map((size) => ({ profile, size, ...folded }));
    foldingEnd = (head) => ({ ...folded, ...head });
    keyArmsMm = {
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
    keys = (...sizes2) => sizes2.map((size) => {
      const [leverMm, reachMm] = defined(keyArmsMm[size]);
      return { profile: "hex", size, leverMm, reachMm, bodyMm: size };
    });
    bits = (profile, ...sizes2) => sizes2.map((size) => ({ profile, size, leverMm: 55, reachMm: 25, bodyMm: 7 }));
    driver = (profile, size) => ({
      profile,
      size,
      leverMm: 14,
      reachMm: 30,
      bodyMm: 10,
      spins: true
    });
    spanner = (profile, size, leverMm, thickMm) => ({
      profile,
      size,
      leverMm,
      reachMm: 12,
      bodyMm: size * 0.8,
      thickMm
    });
    nippleKeys = (...sizes2) => sizes2.map((size) => ({ profile: "spoke-key", size, leverMm: 16, reachMm: 10, bodyMm: 8 }));
    chainBreaker = { profile: "chain-pin", leverMm: 35, spins: true };
    linkPliers = { profile: "link-pliers", leverMm: 60 };
    coreKeys = (...kinds) => kinds.map((size) => ({ profile: "valve-core", size, leverMm: 9, reachMm: 20, bodyMm: 5, spins: true }));
    gripping = (opensMm) => ({
      profile: "pliers",
      size: opensMm,
      leverMm: 90,
      thickMm: 5,
      bodyMm: 15
    });
  }
});

// catalogue/items.ts
import { z as z27 } from "zod";
var tube, written3, items;
var init_items = __esm({
  "catalogue/items.ts"() {
    init_bench();
    init_heads();
    tube = (fromWidthMm, toWidthMm, valve, stemMm) => ({
      fromWidthMm,
      toWidthMm,
      valve,
      stemMm
    });
    written3 = [
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
    items = z27.array(catalogueItemSchema).parse(written3);
  }
});

// catalogue/demo/bench.ts
function taken(from, change = {}) {
  const item = items.find((candidate) => candidate.id === from);
  if (!item) throw new RangeError(`the catalogue has no "${from}"`);
  const { name, massG, provides, heads, comesApart, units: units2, measures } = item;
  return thingSchema.parse({ id: from, from, name, massG, provides, heads, comesApart, units: units2, measures, ...change });
}
var demoBench;
var init_bench2 = __esm({
  "catalogue/demo/bench.ts"() {
    init_bench();
    init_items();
    demoBench = [
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
  }
});

// catalogue/demo/stops.ts
import { z as z28 } from "zod";
var weekdays, daily, written4, demoStops;
var init_stops = __esm({
  "catalogue/demo/stops.ts"() {
    init_supply();
    weekdays = "Mo-Fr 09:00-18:00; Sa 09:00-13:00";
    daily = "Mo-Su 07:00-21:00";
    written4 = [
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
    demoStops = z28.array(stopSchema).parse(written4);
  }
});

// catalogue/demo/terrain.ts
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
var heights, start, lengthKm, stepKm, earthKm, stretch, lonely, demoStretches;
var init_terrain = __esm({
  "catalogue/demo/terrain.ts"() {
    init_validation();
    init_road();
    heights = [
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
    start = { lat: 43.62, lon: -33.4 };
    lengthKm = 620;
    stepKm = 0.1;
    earthKm = 6371.0088;
    stretch = (fromKm, toKm, marks) => ({
      id: `from-${fromKm}`,
      fromKm,
      toKm,
      ...defaultTraits,
      ...marks
    });
    lonely = { signal: false, traffic: "empty" };
    demoStretches = [
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
  }
});

// catalogue/demo/weather.ts
var day2, demoForecast;
var init_weather2 = __esm({
  "catalogue/demo/weather.ts"() {
    init_weather();
    day2 = (date, lowC, highC, rainMm, windKmH) => ({
      date: `2026-06-${date}`,
      lowC,
      highC,
      rainMm,
      windKmH
    });
    demoForecast = forecastSchema.parse({
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
  }
});

// catalogue/demo/between-shops.ts
function tripBetweenShops(gapKm) {
  const shop = (id2, roadKm) => stopSchema.parse({ id: id2, name: "Bike shop", roadKm, services: [{ kind: "bike-shop" }] });
  return tripSchema.parse({
    format: tripFormat,
    name: "From shop to shop",
    road: { name: "", points: levelRoad(gapKm) },
    stops: [shop("first", 0), shop("next", gapKm)],
    bikes: [bikeFrom("tourer", "bike-1")],
    crew: [{ id: "rider-1", name: "A rider", bikeId: "bike-1", hands: 2, skills: {} }],
    bench: items.filter(({ id: id2 }) => usual.includes(id2)).map((item) => thingFrom(item, item.id)),
    dials: { gramsPerHour: 500 }
  });
}
var usual;
var init_between_shops = __esm({
  "catalogue/demo/between-shops.ts"() {
    init_bench();
    init_road();
    init_supply();
    init_trip();
    init_bikes();
    init_items();
    usual = ["mini-pump", "levers-two", "patch-kit", "tube-622", "boot", "folding-17", "link-10", "tyre-622"];
  }
});

// catalogue/demo/index.ts
var demo_exports = {};
__export(demo_exports, {
  demoGpx: () => demoGpx,
  demoTrip: () => demoTrip,
  tripBetweenShops: () => tripBetweenShops
});
function filledIn(kind, id2, change) {
  const bike = bikeSchema.parse({ ...bikeFrom(kind, id2), ...change });
  return { ...bike, fasteners: defaultFasteners(bike, bikes) };
}
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
function demoGpx() {
  return exportGpx(demoTrip(), surveyRoad(demoRoad.points), { services }, false);
}
var fox, mule, bikes2, crew, demoRoad;
var init_demo = __esm({
  "catalogue/demo/index.ts"() {
    init_bike();
    init_crew();
    init_road();
    init_ride();
    init_trip();
    init_bikes();
    init_services();
    init_bench2();
    init_stops();
    init_terrain();
    init_weather2();
    init_between_shops();
    fox = bikeFrom("gravel", "fox");
    mule = bikeFrom("tourer", "mule");
    bikes2 = [
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
    crew = [
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
    demoRoad = { name: "Pell Harbour to Skerry Point", points: demoLine(), stretches: demoStretches };
  }
});

// explore.local.ts
import { chromium } from "@playwright/test";

// tests/e2e/boxes.ts
function boxFaults(page2) {
  return page2.evaluate(() => {
    const lettersThatTell = 16;
    const slackPx = { across: 2, down: 4 };
    const dialogs = [...document.querySelectorAll('[role="dialog"]')];
    const scope = dialogs.at(-1) ?? document.body;
    const faults = /* @__PURE__ */ new Set();
    const short2 = (words) => words.replace(/\s+/g, " ").trim().slice(0, 50);
    const ancestorsOf = (element) => {
      const list = [];
      for (let at = element; at && at !== document.documentElement; at = at.parentElement) list.push(at);
      return list;
    };
    const isThere = ({ width, height }) => width > 1 && height > 1;
    const isForReadersOnly = (element) => ancestorsOf(element).some(
      (at) => at instanceof HTMLElement && at.offsetWidth <= 1 && getComputedStyle(at).overflowX === "hidden"
    );
    const isSeen = (element) => element.checkVisibility({ checkOpacity: true, checkVisibilityCSS: true }) && !isForReadersOnly(element);
    const scrolls = (element) => {
      const { overflowX, overflowY } = getComputedStyle(element);
      return /auto|scroll/.test(overflowX) || /auto|scroll/.test(overflowY);
    };
    const layerOf = (element) => ancestorsOf(element).find((at) => scrolls(at) || /sticky|fixed/.test(getComputedStyle(at).position)) ?? document.body;
    function piecesIn(root) {
      const pieces2 = [];
      const walker = document.createTreeWalker(root, NodeFilter.SHOW_TEXT);
      for (let node = walker.nextNode(); node; node = walker.nextNode()) {
        const element = node.parentElement;
        const words = node.textContent ?? "";
        if (!element || !words.trim() || !isSeen(element) || element.closest("option, title, script, style")) continue;
        const range = document.createRange();
        range.selectNodeContents(node);
        const rects = [...range.getClientRects()].filter(isThere);
        if (rects.length > 0) pieces2.push({ element, words, rects });
      }
      return pieces2;
    }
    function cutOf({ element, words, rects }) {
      const [left, right] = [Math.min(...rects.map((r) => r.left)), Math.max(...rects.map((r) => r.right))];
      const bottom = Math.max(...rects.map((r) => r.bottom));
      for (const at of ancestorsOf(element)) {
        const style = getComputedStyle(at);
        const box = at.getBoundingClientRect();
        if (/hidden|clip/.test(style.overflowX) && (right > box.right + 1 || left < box.left - 1)) {
          const share2 = Math.max(0, Math.min(right, box.right) - Math.max(left, box.left)) / (right - left);
          const letters = Math.floor(share2 * words.trim().length);
          const tells = style.textOverflow === "ellipsis" && letters >= Math.min(lettersThatTell, words.trim().length);
          if (!tells) return `cut after ${letters} letters: \u201C${short2(words)}\u201D`;
        }
        if (/hidden|clip/.test(style.overflowY) && bottom > box.bottom + slackPx.down) {
          return `cut below: \u201C${short2(words)}\u201D`;
        }
        if (scrolls(at)) return void 0;
      }
      return void 0;
    }
    function shownOf({ element, rects }) {
      let shown2 = [...rects];
      for (const at of ancestorsOf(element)) {
        if (scrolls(at)) break;
        if (!/hidden|clip/.test(getComputedStyle(at).overflowX)) continue;
        const box = at.getBoundingClientRect();
        shown2 = shown2.map((r) => {
          const [left, top] = [Math.max(r.left, box.left), Math.max(r.top, box.top)];
          return new DOMRect(left, top, Math.min(r.right, box.right) - left, Math.min(r.bottom, box.bottom) - top);
        });
      }
      return shown2.filter(isThere);
    }
    const isTurned2 = ({ element }) => ancestorsOf(element).some((at) => {
      const { transform, rotate } = getComputedStyle(at);
      return rotate !== "none" || transform !== "none" && new DOMMatrix(transform).b !== 0;
    });
    const isSign = ({ words }) => [...words.trim()].length === 1;
    const isOver = (a, b) => Math.min(a.right, b.right) - Math.max(a.left, b.left) > slackPx.across && Math.min(a.bottom, b.bottom) - Math.max(a.top, b.top) > slackPx.down;
    const pieces = piecesIn(scope);
    for (const piece of pieces) {
      const cut = cutOf(piece);
      if (cut) faults.add(cut);
    }
    const upright = pieces.filter((piece) => !isSign(piece) && !isTurned2(piece));
    const shown = upright.map((piece) => ({ ...piece, rects: shownOf(piece), layer: layerOf(piece.element) }));
    shown.forEach((piece, i) => {
      for (const other of shown.slice(i + 1)) {
        if (piece.layer !== other.layer || piece.element === other.element) continue;
        if (piece.rects.some((a) => other.rects.some((b) => isOver(a, b)))) {
          faults.add(`\u201C${short2(piece.words)}\u201D lies over \u201C${short2(other.words)}\u201D`);
        }
      }
    });
    const pressed = [...scope.querySelectorAll("button, a, input, select, summary, textarea")].filter((element) => isSeen(element) && !(element instanceof SVGElement)).map((element) => ({ element, box: element.getBoundingClientRect(), layer: layerOf(element) }));
    const nameOf = (element) => short2(element.getAttribute("aria-label") ?? element.textContent ?? element.getAttribute("id") ?? element.tagName);
    pressed.forEach(({ element, box, layer }, i) => {
      for (const other of pressed.slice(i + 1)) {
        if (layer !== other.layer || element.contains(other.element) || other.element.contains(element)) continue;
        if (isOver(box, other.box)) faults.add(`to press, \u201C${nameOf(element)}\u201D lies over \u201C${nameOf(other.element)}\u201D`);
      }
      if (element instanceof HTMLInputElement && element.inputMode && element.scrollWidth > element.clientWidth + 1) {
        faults.add(`a figure is cut: \u201C${nameOf(element)}\u201D ${element.value}`);
      }
    });
    if (document.documentElement.scrollWidth > window.innerWidth + 1) faults.add("the page scrolls sideways");
    for (const element of [scope, ...scope.querySelectorAll("*")]) {
      if (!isSeen(element) || !/auto|scroll/.test(getComputedStyle(element).overflowX)) continue;
      if (element.scrollWidth > element.clientWidth + 1 && !element.matches('[tabindex="0"][aria-label]')) {
        faults.add(`scrolls sideways: ${element.tagName.toLowerCase()} ${short2(element.textContent ?? "")}`);
      }
    }
    return [...faults];
  });
}

// tests/e2e/steps.ts
init_demo();
import AxeBuilder from "@axe-core/playwright";
import { expect } from "@playwright/test";
var people = 0;
async function newAccount(request, name) {
  const email = `${name.toLowerCase()}-${process.pid}-${Date.now()}-${people++}@quern.example`;
  const account = { name, email, password: "a bicycle of my own" };
  expect((await request.post("/api/account", { data: account })).ok()).toBe(true);
  return account;
}
async function newTrip(request, change = {}) {
  const answer = await request.post("/api/trips", { data: { ...demoTrip(), ...change } });
  expect(answer.ok(), await answer.text()).toBe(true);
  return (await answer.json()).id;
}

// explore.local.ts
var long = process.argv[2] === "long";
var { demoTrip: demoTrip2 } = await Promise.resolve().then(() => (init_demo(), demo_exports));
function longNames() {
  const { road, stops, bikes: bikes3, crew: crew2, bench } = demoTrip2();
  const L = (n) => `${n} with a name that somebody wrote who had all the time in the world and a long evening at the stove, ${n}`.slice(0, 118);
  const named = (list) => list.map((e, i) => ({ ...e, name: L((e.name ?? "") + i) }));
  return { name: L("Trip"), road: { ...road, name: L("Road") }, stops: named(stops), bikes: named(bikes3).map((b) => ({ ...b, fasteners: named(b.fasteners) })), crew: named(crew2), bench: named(bench) };
}
var browser = await chromium.launch({ executablePath: "/usr/bin/chromium-headless-shell", args: ["--no-sandbox", "--disable-gpu", "--disable-quic"] });
var page = await browser.newPage({ viewport: { width: 1280, height: 800 }, baseURL: "http://127.0.0.1:3000" });
await newAccount(page.request, "Box");
var id = await newTrip(page.request, long ? longNames() : {});
var sizes = [[1280, 800], [640, 400], [390, 844]];
var stages = process.argv[3]?.split(",") ?? ["road", "bikes", "bikes?room=fit", "bikes?room=spares", "bikes?room=calculators", "bench", "weigh", "weigh?room=failures", "weigh?room=trips"];
var tell = async (where) => {
  for (const [w, h] of sizes) {
    await page.setViewportSize({ width: w, height: h });
    await page.waitForTimeout(350);
    const f = await boxFaults(page);
    if (f.length) {
      console.log("##", where, w, f.length);
      for (const x of f.slice(0, 9)) console.log("    ", x);
    }
  }
};
for (const s of stages) {
  await page.setViewportSize({ width: 1280, height: 800 });
  await page.goto(`/trips/${id}/${s}`);
  await page.waitForTimeout(4e3);
  await tell(s);
  await page.setViewportSize({ width: 1280, height: 800 });
  await page.waitForTimeout(300);
  const pressed = /* @__PURE__ */ new Set();
  for (; ; ) {
    const names = await page.locator("button:visible, summary:visible, [role=row] button:visible").evaluateAll((els) => els.map((e) => (e.getAttribute("aria-label") ?? e.textContent ?? "").trim().replace(/\s+/g, " ")));
    const key = (n) => n.split(" ")[0].slice(0, 14);
    const at = names.findIndex((n) => n && !pressed.has(key(n)));
    if (at < 0) break;
    const name = names[at];
    pressed.add(key(name));
    const url = page.url();
    try {
      await page.locator("button:visible, summary:visible, [role=row] button:visible").nth(at).click({ timeout: 1500 });
    } catch {
      continue;
    }
    await page.waitForTimeout(350);
    const open = await page.getByRole("dialog").count();
    if (open) {
      await tell(`${s} > ${name.slice(0, 40)}`);
      await page.setViewportSize({ width: 1280, height: 800 });
      await page.keyboard.press("Escape");
      await page.waitForTimeout(350);
      if (await page.getByRole("dialog").count()) {
        await page.goto(`/trips/${id}/${s}`);
        await page.waitForTimeout(2500);
      }
    } else if (page.url() !== url) {
      await page.goto(`/trips/${id}/${s}`);
      await page.waitForTimeout(2500);
    } else {
      const menu = await page.getByRole("menu").count();
      if (menu) await page.keyboard.press("Escape");
      else {
        await page.keyboard.press("Control+z");
      }
    }
  }
  console.log("-- pressed on", s, [...pressed].length);
}
await browser.close();
