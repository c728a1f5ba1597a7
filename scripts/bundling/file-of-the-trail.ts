interface ModuleGraph {
  getModuleIds(): Iterable<string>
  getModuleInfo(id: string): { readonly isEntry: boolean; readonly importedIds: readonly string[] } | null
}

const pages = ['/trips/[id].vue', '/trips/[id]/trail.vue']

/**
 * A slow telephone spends as long on a small file as on a middling one: all that the Trail needs at once, beside what
 * every page needs, is one file.
 */
export function fileOfTheTrail() {
  let needed: ReadonlySet<string> | undefined
  const manualChunks = (id: string, graph: ModuleGraph) => {
    needed ??= neededByTheTrail(graph)
    return needed.has(id) ? 'trail' : undefined
  }
  return {
    name: 'file-of-the-trail',
    outputOptions: <T extends object>(options: T) => ({
      ...options,
      onlyExplicitManualChunks: true,
      manualChunks,
    }),
  }
}

/** The modules that the Trail imports and the entry does not. */
function neededByTheTrail(graph: ModuleGraph): ReadonlySet<string> {
  const ids = [...graph.getModuleIds()]
  const entry = importedFrom(
    ids.filter((id) => graph.getModuleInfo(id)?.isEntry),
    graph,
  )
  const trail = importedFrom(
    ids.filter((id) => pages.some((page) => id.endsWith(page))),
    graph,
  )
  return new Set([...trail].filter((id) => !entry.has(id)))
}

/** These modules and all that they import, but for what is fetched later. */
function importedFrom(ids: readonly string[], graph: ModuleGraph): ReadonlySet<string> {
  const known = new Set(ids)
  // A set that grows while it is walked is walked to its end.
  for (const id of known) for (const imported of graph.getModuleInfo(id)?.importedIds ?? []) known.add(imported)
  return known
}
