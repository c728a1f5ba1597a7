import { createConnection, type RowDataPacket } from 'mysql2/promise'

/** The tables of a database that have a row in which some text stands, with the row. */
export async function whereStands(url: string, ...words: readonly string[]): Promise<string[]> {
  const connection = await createConnection(url)
  try {
    const [tables] = await connection.query<RowDataPacket[]>(
      'SELECT table_name AS name FROM information_schema.tables WHERE table_schema = DATABASE()',
    )
    const found: string[] = []
    for (const { name } of tables) {
      const [rows] = await connection.query<RowDataPacket[]>(`SELECT * FROM \`${name}\``)
      for (const row of rows) {
        const text = JSON.stringify(row)
        if (words.some((word) => text.includes(word))) found.push(`${name}: ${text.slice(0, 200)}`)
      }
    }
    return found
  } finally {
    await connection.end()
  }
}
