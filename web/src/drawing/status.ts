import type { Score } from '@/api/client'

/** The knot on a cord by how a measure stands: hanging open, closed and level, filled and raised. */
export const STATUS_PATHS: Record<Score['status'], string> = {
  'too little': 'M-10 -5C-10 8 10 8 10 -5',
  right: 'M-11 0C-11 -8 11 -8 11 0C11 8 -11 8 -11 0M-11 0H11',
  'too much': 'M-10 6L0 -9L10 6Z',
}
