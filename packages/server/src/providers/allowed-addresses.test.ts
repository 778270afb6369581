import { expect, it } from 'vitest'
import { AllowedAddresses, isPrivate } from './allowed-addresses.ts'

const allowed = (listed: string, address: string): boolean => {
  try {
    new AllowedAddresses(listed, 'http://127.0.0.1:4174').demand(address)
    return true
  } catch {
    return false
  }
}

it('lets requests go to the simulated engines alone, until somebody lists more', () => {
  expect(allowed('', 'http://127.0.0.1:4174/v1/pictures')).toBe(true)
  for (const other of ['http://127.0.0.1:4175/', 'http://localhost:4174/', 'https://pictures.example/', 'http://169.254.169.254/', 'file:///etc/passwd', 'http://a:b@127.0.0.1:4174/', 'nonsense']) expect(allowed('', other), other).toBe(false)
})

it('takes hosts, hosts with a port, the open internet and the neighbourhood apart', () => {
  expect(allowed('pictures.example', 'https://pictures.example/v2')).toBe(true)
  expect(allowed('pictures.example', 'https://pictures.example.evil.example/v2')).toBe(false)
  expect(allowed('10.0.0.5:8080', 'http://10.0.0.5:8080/x')).toBe(true)
  expect(allowed('10.0.0.5:8080', 'http://10.0.0.5:22/x')).toBe(false)
  expect(allowed('public', 'https://anything.example/')).toBe(true)
  expect(allowed('public', 'http://anything.example/')).toBe(false)
  for (const near of ['https://10.1.2.3/', 'https://[::1]/', 'https://localhost/', 'https://[::ffff:127.0.0.1]/', 'https://0x7f.1/', 'https://2130706433/']) {
    expect(allowed('public', near), near).toBe(false)
    expect(allowed('private', near), near).toBe(true)
  }
})

it('knows addresses that are none of the open internet', () => {
  for (const near of ['127.0.0.1', '10.0.0.1', '172.31.255.1', '192.168.1.1', '169.254.1.1', '100.64.0.1', '::1', 'fd00::1', 'fe80::1', '::ffff:10.0.0.1']) expect(isPrivate(near), near).toBe(true)
  for (const open of ['8.8.8.8', '172.32.0.1', '2606:4700::1']) expect(isPrivate(open), open).toBe(false)
})
