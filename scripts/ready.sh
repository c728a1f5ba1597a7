# Sourced by ./demo and ./test: makes sure of Node.js and of the packages in package-lock.json.
fail() { printf '%s\n' "$*" >&2; exit 1; }

command -v node >/dev/null || fail "Rag Tin needs Node.js 20.19 or newer; there is no node on this machine's PATH."
command -v npm >/dev/null || fail "Rag Tin needs npm, which comes with Node.js; there is no npm on this machine's PATH."
node -e 'const [a, b] = process.versions.node.split(".").map(Number); process.exit(a > 20 || (a === 20 && b >= 19) ? 0 : 1)' ||
  fail "Rag Tin needs Node.js 20.19 or newer; this is $(node --version)."

mkdir -p .data
# One installation at a time, should two be started at once.
exec 9>.data/install.lock
flock 9
want=$(cat package.json package-lock.json | sha256sum | cut -d' ' -f1)
have=$(cat node_modules/.rag-tin-lock 2>/dev/null || true)
if [ "$want" != "$have" ]; then
  echo 'Installing node packages (a minute or two, once) …'
  # It goes when this goes, for it is begun anew at the next start; SIGTERM it does not heed.
  setpriv --pdeathsig KILL npm ci --no-fund --no-audit --loglevel=error || fail 'npm ci failed; its messages are above. Is the package registry within reach?'
  printf '%s' "$want" >node_modules/.rag-tin-lock
fi
flock -u 9
exec 9>&-
