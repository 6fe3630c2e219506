import { look } from './zz-look.mjs'
await look(async ({ driver, shot, follow, base, find, By, Key, label }) => {
  await driver.get(base)
  await follow('Brackwater pellet sacks')
  await follow('Mean net mass')
  await find('//*[@aria-label="What the readings look like"]')
  await (await driver.findElement(By.css('input[type=file]'))).sendKeys('/tmp/small.csv')
  await find('//button[contains(.,"Take it in")]')
  await driver.executeScript('document.querySelector("[data-bringing]").scrollIntoView({block:"center"})')
  await shot('bring1')
  await (await find('//button[contains(.,"Take it in")]')).click()
  await driver.sleep(3000)
  await driver.executeScript('document.getElementById("evidence").scrollIntoView()')
  await shot('bring2')
  await follow('WH-014')
  await (await find('//button[contains(.,"Add a sample")]')).click()
  const grid = await find('//*[@role="grid"]')
  await grid.click()
  await driver
    .actions()
    .sendKeys('14.93', Key.ENTER, '15.02', Key.ENTER, '14.88', Key.ENTER, 'oops', Key.ENTER)
    .perform()
  await shot('typed1')
  await driver.actions().keyDown(Key.CONTROL).sendKeys('z').keyUp(Key.CONTROL).perform()
  await driver.executeScript(
    `const d=new DataTransfer(); d.setData('text/plain','line\\tmass\\nA\\t14.9\\nB\\t15.1\\n'); document.activeElement.dispatchEvent(new ClipboardEvent('paste',{clipboardData:d,bubbles:true,cancelable:true}))`,
  )
  await shot('typed2')
}, 800)
