import { look } from './zz-look.mjs'
await look(async ({ driver, shot, follow, base, find, By }) => {
  await driver.get(base)
  await follow('Brackwater pellet sacks')
  await follow('Mean net mass')
  await find('//*[@aria-label="What the readings look like"]')
  await driver.sleep(1500)
  await driver.executeScript('document.getElementById("evidence").scrollIntoView()')
  await shot('pictures')
  const canvas = await driver.findElements(By.css('#evidence canvas'))
  const actions = driver.actions({ async: true })
  await driver.executeScript('arguments[0].scrollIntoView({block:"center"})', canvas[2])
  // the eighteenth reading: beyond fences button
  await (await find('//button[contains(.,"row 18")]')).click()
  await shot('pictures2')
}, 1000)
