/** Small drawings of joints around their own middle: a knot by its key, other joints by their kind. */
const BARREL = 'M-8 0h16M-5 -4l2 8M-2 -5l2 10M1 -5l2 10M4 -4l2 8'
export const PATHS: Record<string, string> = {
  blood: BARREL,
  'double-surgeons': 'M-9 0C-4 -8 3 -6 3 0C3 5 -4 5 -4 0C-4 -5 5 -8 9 0',
  'triple-surgeons': 'M-9 0C-5 -9 5 -9 4 0C3 6 -5 6 -4 0C-3 -6 4 -4 2 1M9 0L3 -1',
  'double-uni': 'M-9 0h4M5 0h4M-5 -4v8M-3 -4v8M-1 -4v8M2 -4v8M4 -4v8',
  albright: 'M-9 0h5M-6 -4C-2 -6 8 -6 8 0C8 6 -2 6 -6 4M0 -6v12M3 -6v12',
  nail: 'M-9 0h18M-6 -5v10M-3 -5v10M0 -5v10M3 -5v10M6 -5v10',
  loops: 'M-9 0C-9 -6 3 -6 3 0C3 6 -9 6 -9 0M9 0C9 -6 -3 -6 -3 0C-3 6 9 6 9 0',
  ring: 'M-9 0h4M5 0h4M-5 0a5 5 0 1 0 10 0a5 5 0 1 0 -10 0',
  swivel:
    'M-10 0h2M8 0h2M-8 0a2.5 2.5 0 1 0 5 0a2.5 2.5 0 1 0 -5 0M3 0a2.5 2.5 0 1 0 5 0a2.5 2.5 0 1 0 -5 0M-3 0h6M-1.5 -4h3v8h-3z',
  'non-slip-loop': 'M-9 0h3M-6 -4v8M-4 -4v8M-2 -4v8M-2 0C2 -7 10 -5 10 0C10 5 2 7 -2 0',
  snap: 'M-9 0h3M-6 -2.5a2.5 2.5 0 1 0 .1 0M-3.5 0C1 -5 9 -5 9 0C9 4 2 5 -1 2',
  haywire: 'M-9 0L-7 4L-4 -4L-1 4L2 -4L5 4L7 0',
}
/** Any knot at an eye that has no drawing of its own. */
export const EYE = 'M-9 0h3M-6 -4v8M-4 -4v8M-2 -4v8M0 -4v8M3 0a3 3 0 1 0 6 0a3 3 0 1 0 -6 0'
