/** Materials as colour: the name of a tint, and the class that gives it to a surface or a line. */
function tintOf(material: string): string {
  return material.startsWith('wire') ? 'wire' : material
}

export function fillOf(material: string, sighter = false): string {
  return sighter ? 'tint--sighter' : `tint--${tintOf(material)}`
}

export function strokeOf(material: string): string {
  return `stroke--${tintOf(material)}`
}
