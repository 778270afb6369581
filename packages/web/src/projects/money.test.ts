import { expect, it } from 'vitest'
import { sayMoney } from './money.ts'

const rates = { currency: 'EUR', rates: [{ unit: 'credit', price: 0.05 }] }
const spent = [{ unit: 'credit', amount: 30 }]

it('says what is spent and left, in the unit of the ceiling', () => {
  expect(sayMoney.worth(spent, rates)).toBe('1.50 EUR')
  expect(sayMoney.worth([{ unit: 'token', amount: 1 }], rates)).toBe('')
  expect(sayMoney.left({ ...rates, spent, ceiling: { unit: 'EUR', amount: 2 } })).toEqual({ says: '1.50 EUR of 2.00 EUR spent or reserved; 0.50 EUR left.', over: false })
  expect(sayMoney.left({ ...rates, spent, ceiling: { unit: 'credit', amount: 30 } })).toEqual({ says: '30 credits of 30 credits spent or reserved; 0 credits left.', over: true })
  expect(sayMoney.left({ currency: 'EUR', rates: [], spent, ceiling: { unit: 'EUR', amount: 2 } })?.over).toBe(true)
  expect(sayMoney.left({ ...rates, spent, ceiling: null })).toBeUndefined()
})
