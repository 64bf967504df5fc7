import { expect } from '@playwright/test'
import { questions } from '../core/questions'
import { askOnCommandLine, test } from './bench'

test('the route, the command line and the screen give the same answer', async ({ page, request }) => {
  const input = { dryG: 3146, submergedG: 1976, scaleG: 1 }
  const route = await request.post('/api/ask/alloy.density', { data: input })
  expect(route.status()).toBe(200)
  const answer = ((await route.json()) as { answer: { densityGcm3: number } }).answer
  expect(answer).toEqual(askOnCommandLine('alloy.density', input))
  await page.goto('/ask?q=alloy.density')
  await page.locator('[data-key="dryG"] input').fill('3146')
  await page.locator('[data-key="submergedG"] input').fill('1976 g')
  await page.locator('[data-key="scaleG"] input').fill('1')
  await expect(page.locator('[data-answer="densityGcm3"]')).toContainText(answer.densityGcm3.toFixed(3))
  await page.locator('[data-key="submergedG"] input').fill('4000')
  await expect(page.getByLabel('Answer')).toContainText('no less under water')
  await page.locator('[data-key="submergedG"] input').fill('12 in')
  await expect(page.getByRole('alert')).toContainText('not a unit of mass')
})

test('the route keeps to the contract on bad input', async ({ request }) => {
  const post = async (name: string, data: string) => {
    const response = await request.post(`/api/ask/${name}`, { data, headers: { 'content-type': 'application/json' } })
    return { status: response.status(), body: (await response.json()) as { error?: { kind: string } } }
  }
  expect(await post('machine.dial', '{"lowA":"x"}')).toMatchObject({
    status: 422,
    body: { error: { kind: 'invalid-input' } },
  })
  expect(await post('machine.dial', '{"lowA":')).toMatchObject({
    status: 422,
    body: { error: { kind: 'invalid-input' } },
  })
  expect(await post('no.such', '{}')).toMatchObject({ status: 404, body: { error: { kind: 'unknown-question' } } })
  expect(await post('machine.dial', '{"lowA":200,"highA":100,"dialPct":50}')).toMatchObject({
    status: 409,
    body: { error: { kind: 'no-answer' } },
  })
  expect((await post('machine.dial', JSON.stringify({ pad: 'x'.repeat(1_100_000) }))).status).toBe(413)
  for (const name of questions.names)
    expect((await post(name, JSON.stringify(questions.get(name)!.example))).status, name).toBe(200)
})

test('the schema of the files is served', async ({ request }) => {
  for (const kind of ['job', 'shop'])
    expect(await (await request.get(`/schema/${kind}.json`)).json()).toMatchObject({
      title: `Wild Sparrow ${kind} file`,
    })
})

test('plain words find their question and fill it in; Enter takes the first', async ({ page }) => {
  await page.goto('/ask')
  const words = page.getByTestId('question').locator('input')
  await words.fill('what drill for an M8 tap')
  await expect(page.getByTestId('meant')).toContainText('M8')
  await words.press('Enter')
  await expect(page).toHaveURL(/q=thread\.dims/)
  await expect(page.getByText('6.8', { exact: false }).first()).toBeVisible()
  await words.fill('duty 200 A 35 % at 150 A')
  await expect(page.getByTestId('meant')).toContainText('200 A')
  await page.getByTestId('meant').getByRole('button').first().click()
  await expect(page).toHaveURL(/q=machine\.duty/)
  await expect(page.locator('input').filter({ visible: true }).nth(1)).toHaveValue('200 A')
})
