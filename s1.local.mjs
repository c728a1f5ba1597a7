export default async (page, rest) => {
  await page.keyboard.press('r')
  const shop = page.getByRole('button', { name: 'bike shop at Quillby', exact: true })
  await shop.waitFor()
  await shop.evaluate((e)=>{e.style.scrollMarginTop='14rem'; e.scrollIntoView({block:'start'})})
  await page.waitForTimeout(400)
  await shop.click()
  await page.getByText('When you come by').first().waitFor()
  console.log(await page.evaluate(()=>document.activeElement?.outerHTML.slice(0,200)))
  if (rest.includes('esc')) { await page.keyboard.press('Escape'); await page.waitForTimeout(200); console.log(await page.evaluate(()=>document.activeElement?.outerHTML.slice(0,200))) }
}
