import { describe, expect, test } from 'vitest'
import { registerName, textOf } from './registerText'

const bytes = (...all: number[]) => new Uint8Array(all).buffer

describe('a file of rows', () => {
  test('is UTF-8, without the mark that some programs begin with', () => {
    expect(textOf(bytes(0xef, 0xbb, 0xbf, 0x4c, 0xc3, 0xb6))).toEqual({ csv: 'Lö', encoding: 'UTF-8' })
  })
  test('is what spreadsheets write where it cannot be UTF-8', () => {
    expect(textOf(bytes(0x4c, 0xf6))).toEqual({ csv: 'Lö', encoding: 'Windows-1252' })
  })
  test('gives its register a name', () => {
    expect(registerName('Bootsregister Häfen 2026.csv')).toBe('bootsregister-hafen-2026')
    expect(registerName('2026 vessels.csv')).toBe('vessels')
    expect(registerName('---.csv')).toBe('register')
  })
})
