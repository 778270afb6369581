/** Irreducible polynomials, lowest power first, of the fields whose size is no prime: by prime and degree. */
const POLYNOMIALS: readonly { q: number; p: number; low: readonly number[] }[] = [
  { q: 4, p: 2, low: [1, 1] },
  { q: 8, p: 2, low: [1, 1, 0] },
  { q: 9, p: 3, low: [1, 0] },
  { q: 16, p: 2, low: [1, 1, 0, 0] },
  { q: 25, p: 5, low: [2, 0] },
  { q: 27, p: 3, low: [1, 2, 0] },
]
const isPrime = (n: number): boolean => n > 1 && Array.from({ length: Math.floor(Math.sqrt(n)) - 1 }, (_, i) => i + 2).every((d) => n % d !== 0)

export interface Field {
  q: number
  add: (a: number, b: number) => number
  multiply: (a: number, b: number) => number
}

/** The smallest finite field of at least so many elements that is known here: a prime, or one of the small prime powers. */
export function fieldFor(size: number): Field {
  let q = Math.max(2, size)
  while (!isPrime(q) && !POLYNOMIALS.some((one) => one.q === q)) q++
  const power = POLYNOMIALS.find((one) => one.q === q)
  if (!power) return { q, add: (a, b) => (a + b) % q, multiply: (a, b) => (a * b) % q }
  const { p, low } = power
  const digits = (n: number) => low.map((_, i) => Math.floor(n / p ** i) % p)
  const number = (list: readonly number[]) => list.reduce((sum, digit, i) => sum + digit * p ** i, 0)
  return {
    q,
    add: (a, b) => number(digits(a).map((digit, i) => (digit + digits(b)[i]!) % p)),
    multiply: (a, b) => {
      let product = low.map(() => 0)
      // Horner's rule over the digits of b, from the highest: times x, less the polynomial, plus a times the digit.
      for (const digit of digits(b).reverse()) {
        const top = product.at(-1)!
        product = product.map((_, i) => ((product[i - 1] ?? 0) - top * low[i]! + p * p) % p)
        product = product.map((value, i) => (value + digits(a)[i]! * digit) % p)
      }
      return number(product)
    },
  }
}
