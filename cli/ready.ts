import { catalogue } from '#catalogue'
import { indexLedger } from '#core/ledger'
import { dueDay, evening, readyPromise, standingOn, taskList, taskWorths, writeCalendar } from '#core/ready'
import { bestKit } from '#core/search'
import { ledgerOfTrip } from '#core/trip-ledger'
import { nth } from '#core/validation'
import { calendarDayInWords, calendarEntries, hoursInWords, standingWords, taskAdvice, taskInWords } from '#wording'
import { rounded, table } from './text'
import { tripOfArgs } from './trip'
import { dayOption, numberOption, parsedArgs, writeText } from './usage'

/** How long an evening is where nobody says, in minutes. */
const usualEveningMin = 120

/** All that is to be done before a ride with the best kit: who, how long, by when, and what it costs to leave it undone. */
export function ready(args: string[]): unknown {
  const { positionals, values } = parsedArgs(args, {
    on: { type: 'string' },
    ics: { type: 'string' },
    evening: { type: 'string' },
    text: { type: 'boolean' },
  } as const)
  const { trip, survey } = tripOfArgs(positionals)
  const today = dayOption(values.on)
  const { counts } = bestKit(indexLedger(ledgerOfTrip(trip, survey, catalogue).ledger))
  const carried = Object.fromEntries(trip.bench.map(({ id }, i) => [id, nth(counts, i)]))
  const tasks = taskList(trip, catalogue, { survey, carried })
  const undoneH = new Map(
    Array.from(taskWorths(trip, survey, catalogue, counts, tasks), (told) => [told.key, told.undoneH]),
  )
  const promise = readyPromise(trip, survey, catalogue, counts, tasks)
  if (values.ics !== undefined)
    writeText(values.ics, writeCalendar(trip.name, trip.name, calendarEntries(tasks, trip, catalogue), today))
  const weighed = tasks.map((task) => ({
    ...task,
    undoneH: undoneH.get(task.key) ?? 0,
    standing: standingOn(task, today),
  }))
  const minutes = numberOption(values.evening ?? `${usualEveningMin}`, 'evening', 1, 600)
  const tonight = evening(
    weighed,
    trip.crew.map(({ id }) => id),
    minutes,
    today,
  )
  if (!values.text) {
    return {
      today,
      promise: {
        plannedH: rounded(promise.plannedH, 4),
        allDoneH: rounded(promise.allDoneH, 4),
        asItStandsH: rounded(promise.asItStandsH, 4),
      },
      tasks: weighed.map(({ about, isAnybodys: _, ...task }) => ({
        ...task,
        what: taskInWords({ about, pieces: task.pieces }, trip, catalogue),
        minutes: rounded(task.minutes, 1),
        undoneH: rounded(task.undoneH, 4),
        mechanic: taskAdvice(about, trip, catalogue).mechanic,
      })),
      tonight,
    }
  }
  const rows = [...weighed]
    .sort((a, b) => (dueDay(a) ?? '9').localeCompare(dueDay(b) ?? '9') || b.undoneH / b.minutes - a.undoneH / a.minutes)
    .map((task) => {
      const day = dueDay(task)
      return [
        day === null ? '' : calendarDayInWords(day),
        standingWords[task.standing],
        task.who === null ? '' : (trip.crew.find(({ id }) => id === task.who)?.name ?? ''),
        `${Math.round(task.minutes)} min`,
        task.undoneH > 0 ? hoursInWords(task.undoneH) : '',
        taskInWords(task, trip, catalogue),
      ]
    })
  return [
    `${hoursInWords(promise.allDoneH)} lost with all of it done, ${hoursInWords(promise.asItStandsH)} as it stands`,
    table(['by', '', 'who', 'takes', 'undone', 'what'], rows, [3, 4]),
  ].join('\n')
}
