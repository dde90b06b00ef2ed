// A made-up evening for pictures of the log.

/** A made-up evening: how a look went, by ticket number. */
export function runOf({ id, name, version, seconds }, n) {
  const tasks = ['wash, sponge', 'sheet, makeup', 'line', 'dots', 'line', 'gem']
  const planned = Math.round(seconds * 1.2)
  const steps = tasks.map((task, i) => ({
    id: `s${i}`,
    label: ['Base', 'Scales', 'Edge', 'Dots', 'Lights', 'Gem'][i],
    task,
    planned: Math.round(planned / 6),
    usual: Math.round(planned / 6),
    seconds: Math.round((planned / 6) * (0.8 + ((n * 7 + i * 5) % 9) / 12)),
    waited: i === 1 ? 18 + n : 0,
    lost: 0,
    ending: i === 5 && n % 3 === 0 ? 'left out' : 'done',
    swapped: false,
    again: 0,
    went: (n + i) % 7 === 0 ? 'bled' : (n + i) % 5 === 0 ? 'smudged' : 'fine',
    bridge: null,
  }))
  const took = steps.reduce((sum, s) => sum + s.seconds + s.waited, 0)
  const began = new Date(2026, 10, 20, 17, 10 + 12 * n)
  return {
    sent: 1,
    run: {
      format: 'janusform-run',
      version: 1,
      id: `shot-${n}`,
      look: { id, name, version },
      length: n % 3 === 0 ? 'three waiting' : 'whole',
      device: 'tablet',
      typed: false,
      startedAt: began.toISOString(),
      endedAt: new Date(began.getTime() + 1000 * took).toISOString(),
      ticket: String(11 + 3 * n).padStart(3, '0'),
      room: { temperature: 17.5, humidity: 0.66, air: 'still' },
      planned,
      seconds: took,
      paused: 0,
      note: ['windy at the quay', '', 'sat very still', ''][n % 4],
      steps,
    },
  }
}
