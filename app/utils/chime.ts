/** Loudness of the chime: quiet, as people stand around. */
const LOUD = 0.08
let context: AudioContext | null = null

/** A quiet sound of two tones, and a short buzz where the device can: something is dry, or a time is over. */
export function chime(): void {
  navigator.vibrate?.([90, 60, 90])
  try {
    context ??= new AudioContext()
    void context.resume()
    const at = context.currentTime
    for (const [n, hertz] of [587, 784].entries()) {
      const tone = new OscillatorNode(context, { frequency: hertz })
      const gain = new GainNode(context, { gain: 0 })
      gain.gain.setValueAtTime(0, at + 0.16 * n)
      gain.gain.linearRampToValueAtTime(LOUD, at + 0.16 * n + 0.02)
      gain.gain.exponentialRampToValueAtTime(0.0005, at + 0.16 * n + 0.35)
      tone.connect(gain).connect(context.destination)
      tone.start(at + 0.16 * n)
      tone.stop(at + 0.16 * n + 0.4)
    }
  } catch {
    // Where no sound can be made, what changed is seen.
  }
}
