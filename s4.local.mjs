export default async (page, rest) => {
  await page.evaluate(() => localStorage.setItem('rag-tin.units', 'imperial'))
  await page.reload()
  await page.getByText('stranded').filter({ visible: true }).first().waitFor()
  for (const key of ['r','k','b','w']) {
    await page.keyboard.press(key); await page.waitForTimeout(2500)
    if (key==='w') await page.locator('[data-row]').first().click()
    await page.waitForTimeout(500)
    const text = await page.evaluate(() => document.body.innerText)
    for (const m of text.matchAll(/.{0,40}\b\d[\d.  ]*\s?(g|kg|km|m|°C|bar|kilometre)\b.{0,20}/g)) console.log(key, JSON.stringify(m[0]))
    for (const m of text.matchAll(/.{0,30}\b(grams?|kilometres?|metres?)\b.{0,20}/gi)) console.log(key, JSON.stringify(m[0]))
  }
}
