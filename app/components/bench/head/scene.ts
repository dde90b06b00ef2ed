import {
  AmbientLight,
  BufferAttribute,
  BufferGeometry,
  Color,
  DirectionalLight,
  DoubleSide,
  Mesh,
  MeshStandardMaterial,
  OrthographicCamera,
  Scene,
  SRGBColorSpace,
  Texture,
  Vector3,
  WebGLRenderer,
  DataTexture,
  LinearFilter,
  LinearMipmapLinearFilter,
} from 'three'
import type { Box } from '#core/geometry'
import { LIGHTS, type LightId, type Way } from '#core/paint'
import { SCARF, type Part } from '#core/skin'
import type { Picture, Wrapped } from '~/workers/picture'

/**
 * From where the head is seen, degrees: from the painter's right (above 0) or left, and from above or below.
 */
export interface Turn {
  readonly across: number
  readonly up: number
}

export const MOST_TURN = { across: 100, up: 35 } as const

/**
 * A lit model of what is painted on, drawn into a canvas at any turn. Throws when the browser has no WebGL.
 */
export class HeadScene {
  private readonly renderer: WebGLRenderer
  private readonly scene = new Scene()
  private readonly camera = new OrthographicCamera()
  private readonly skin = new MeshStandardMaterial({ roughness: 0.62, metalness: 0 })
  private readonly parts: Readonly<Record<Part['kind'], MeshStandardMaterial>> = {
    'skin': this.skin,
    'back': new MeshStandardMaterial({ roughness: 0.6, side: DoubleSide }),
    'bare skin': new MeshStandardMaterial({ roughness: 0.65, side: DoubleSide }),
    'cloth': new MeshStandardMaterial({ color: '#8d8791', roughness: 1, side: DoubleSide }),
    'hair': new MeshStandardMaterial({ roughness: 0.5, side: DoubleSide }),
    'scarf': new MeshStandardMaterial({ color: SCARF, roughness: 0.95, side: DoubleSide }),
  }
  private readonly lamps = {
    key: new DirectionalLight(),
    fill: new DirectionalLight(),
    around: new AmbientLight(),
  }
  private readonly centre = new Vector3()
  private box: Readonly<Box> = { minX: -100, minY: -130, maxX: 100, maxY: 130 }

  constructor(canvas: HTMLCanvasElement) {
    this.renderer = new WebGLRenderer({ canvas, antialias: true, preserveDrawingBuffer: true })
    this.renderer.setClearColor('#E9E6E0')
    const { key, fill, around } = this.lamps
    // The lamps turn with the painter, not with the head.
    this.camera.add(key, key.target, fill, fill.target)
    this.scene.add(this.camera, around)
    this.setLight('lamp')
  }

  /** Puts the lamps where they stand for the picture from the front. */
  setLight(id: LightId): void {
    const { key, strength, fill, filled, ambient, tint } = LIGHTS[id]
    const put = (lamp: DirectionalLight | AmbientLight, intensity: number, way?: Way) => {
      lamp.color.setRGB(...tint)
      lamp.intensity = intensity
      if (way) lamp.position.set(way[0], -way[1], way[2])
    }
    put(this.lamps.key, 3.1 * strength, key)
    put(this.lamps.fill, 2.6 * filled, fill)
    put(this.lamps.around, 4.4 * ambient)
  }

  /** Puts in a model; `box` is what the picture from the front shows, mm. */
  setModel(parts: readonly Part[], box: Readonly<Box>): void {
    this.box = box
    for (const mesh of this.scene.children.filter((c): c is Mesh => c instanceof Mesh)) {
      mesh.geometry.dispose()
      this.scene.remove(mesh)
    }
    const shapes: BufferGeometry[] = []
    for (const { kind, positions, places, triangles, normals } of parts) {
      const geometry = new BufferGeometry()
      // The skin's y runs down, the scene's up.
      const upright = (list: Float32Array) =>
        new BufferAttribute(
          list.map((v, i) => (i % 3 === 1 ? -v : v)),
          3,
        )
      geometry.setAttribute('position', upright(positions))
      if (places) geometry.setAttribute('uv', new BufferAttribute(places, 2))
      geometry.setIndex(new BufferAttribute(triangles, 1))
      if (normals) geometry.setAttribute('normal', upright(normals))
      else {
        geometry.computeVertexNormals()
        shapes.push(geometry)
      }
      this.scene.add(new Mesh(geometry, this.parts[kind]))
    }
    weld(shapes)
    this.centre.set((box.minX + box.maxX) / 2, -(box.minY + box.maxY) / 2, 0)
  }

  /** The colours of what is of one colour: ears and neck, braids and knot. */
  setColours(skin: string, hair: string): void {
    this.parts['bare skin'].color = new Color(skin)
    this.parts.hair.color = new Color(hair).multiplyScalar(1.1)
  }

  /** The pictures that skin and back of the head wear. */
  setSkin({ front, back }: Wrapped): void {
    this.wear(this.skin, front)
    if (back) this.wear(this.parts.back, back)
  }

  private wear(material: MeshStandardMaterial, { rgba, width, height }: Picture): void {
    material.map?.dispose()
    const texture: Texture = new DataTexture(rgba, width, height)
    texture.colorSpace = SRGBColorSpace
    texture.anisotropy = this.renderer.capabilities.getMaxAnisotropy()
    texture.generateMipmaps = true
    texture.minFilter = LinearMipmapLinearFilter
    texture.magFilter = LinearFilter
    texture.needsUpdate = true
    material.map = texture
    material.needsUpdate = true
  }

  /** Draws the model turned, filling a canvas of some size in CSS px. */
  draw({ across, up }: Turn, width: number, height: number, ratio: number): void {
    this.renderer.setPixelRatio(ratio)
    this.renderer.setSize(width, height, false)
    const { minX, minY, maxX, maxY } = this.box
    const k = Math.max((maxX - minX) / width, (maxY - minY) / height)
    const w = (width * k) / 2
    const h = (height * k) / 2
    const far = 600
    Object.assign(this.camera, { left: -w, right: w, top: h, bottom: -h, near: 1, far: 2 * far })
    this.camera.updateProjectionMatrix()
    const a = (across * Math.PI) / 180
    const b = (up * Math.PI) / 180
    this.camera.position.set(
      this.centre.x + far * Math.sin(a) * Math.cos(b),
      this.centre.y + far * Math.sin(b),
      far * Math.cos(a) * Math.cos(b),
    )
    this.camera.lookAt(this.centre)
    this.renderer.render(this.scene, this.camera)
  }

  dispose(): void {
    this.setModel([], this.box)
    for (const material of Object.values(this.parts)) material.map?.dispose()
    this.renderer.dispose()
  }
}

/** Gives points that lie on one spot the same normal, so that no edge shows where two parts meet. */
function weld(shapes: readonly BufferGeometry[]): void {
  const spots = new Map<string, [Float32Array, number][]>()
  for (const shape of shapes) {
    const at = shape.getAttribute('position').array as Float32Array
    const normals = shape.getAttribute('normal').array as Float32Array
    for (let i = 0; i < at.length; i += 3) {
      const key = `${Math.round(at[i]! * 50)} ${Math.round(at[i + 1]! * 50)} ${Math.round(at[i + 2]! * 50)}`
      const list = spots.get(key)
      if (list) list.push([normals, i])
      else spots.set(key, [[normals, i]])
    }
  }
  for (const list of spots.values()) {
    if (list.length < 2) continue
    const sum = [0, 1, 2].map(k => list.reduce((s, [n, i]) => s + n[i + k]!, 0))
    const l = Math.hypot(...sum) || 1
    for (const [n, i] of list) for (let k = 0; k < 3; k++) n[i + k] = sum[k]! / l
  }
}
