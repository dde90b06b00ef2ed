/** Pixels to the millimetre of the small pictures of the build. */
const PX = 0.5

/**
 * Pictures of the face after each step of the look on the bench, as addresses; the first is the bare skin. Each look
 * begins with none.
 */
export function useStripPictures() {
  const session = useSession()
  const scene = useScene()
  const analysis = useAnalysis()
  const painter = usePainter()
  const drawer = useDrawer()
  const thumbs = shallowRef<readonly string[]>([])
  /** The number of the strip that stands there; null when none does. */
  let have: number | null = null
  const repaint = newestOnly(async () => {
    // The picture of the stage comes first: both would share the machine.
    if (!session.look || !scene.loaded || !analysis.shown) return
    const answer = await painter.thumbs(session.look, PX, have)
    if (!answer) return
    have = answer.strip
    thumbs.value = [
      ...thumbs.value.slice(0, answer.from),
      ...answer.pictures.map(p => canvasOf(p).toDataURL()),
    ]
  })
  watch(
    [() => session.look, () => scene.loaded, () => drawer.shapes, () => analysis.shown],
    () => repaint(),
    { immediate: true },
  )
  return thumbs
}
