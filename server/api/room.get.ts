/** How the simulated room is at its coolest, and how much it warms by the afternoon, degrees C. */
const COOLEST = 17
const WARMS = 8

/**
 * The room's sensor. Nothing is measured: a simulated one ships with the application, warm and dry in the afternoon
 * and cool and damp at night, so that what reads a sensor can be used without one.
 */
export default defineEventHandler(() => {
  const now = new Date()
  const hours = now.getHours() + now.getMinutes() / 60
  // The warmest is at four in the afternoon.
  const day = 0.5 + 0.5 * Math.cos(((hours - 16) / 24) * 2 * Math.PI)
  return {
    temperature: Math.round(10 * (COOLEST + WARMS * day)) / 10,
    humidity: Math.round(100 * (0.72 - 0.3 * day)) / 100,
    simulated: true,
  }
})
