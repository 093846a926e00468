# Shared by ./run, ./sandbar and ./test: builds what has changed since the last build that succeeded.
# Stamps are sums over the sources: file times are not to be trusted after a checkout.

# Without the first, the first restore takes six times as long where no revocation server answers.
export NUGET_CERT_REVOCATION_MODE=offline DOTNET_CLI_TELEMETRY_OPTOUT=1 DOTNET_NOLOGO=1
export DOTNET_GENERATE_ASPNET_CERTIFICATE=false DOTNET_CLI_WORKLOAD_UPDATE_NOTIFY_DISABLE=true

say() { printf '%s\n' "$*" >&2; }

# sum PATH...: one sum over the contents and names of all files below these paths
sum() {
  find "$@" -type f -not -path '*/node_modules/*' -not -path '*/dist/*' -print0 | LC_ALL=C sort -z | xargs -0 sha256sum | sha256sum | cut -d' ' -f1
}

# stale STAMP PATH...: whether the sources differ from those of the last build
stale() {
  local stamp=$1
  shift
  current=$(sum "$@")
  [ "$(cat "artifacts/stamps/$stamp" 2>/dev/null || true)" != "$current" ]
}

keep_stamp() {
  mkdir -p artifacts/stamps
  printf '%s\n' "$current" > "artifacts/stamps/$1"
}

restore_client() {
  if stale packages client/package-lock.json client/.npmrc || [ ! -d client/node_modules ]; then
    say "Installing the client's packages (once; about a minute)…"
    npm ci --prefix client --no-audit --no-fund --loglevel error >&2
    keep_stamp packages
  fi
}

build_client() {
  if stale client client || [ ! -f client/dist/index.html ]; then
    local sources=$current
    restore_client
    say "Building the client…"
    (cd client && npx --no-install vite build --logLevel warn) >&2
    current=$sources
    keep_stamp client
  fi
}

build_dotnet() {
  if stale dotnet src Directory.Build.props Directory.Packages.props global.json || [ ! -x artifacts/publish/Sandbar.Cli/release_linux-x64/sandbar ]; then
    say "Building the server and the command line (the first time about a minute)…"
    local log
    log=$(mktemp)
    if ! dotnet publish src/Sandbar.Cli -c Release --nologo -v quiet > "$log" 2>&1; then
      cat "$log" >&2
      rm -f "$log"
      return 1
    fi
    rm -f "$log"
    keep_stamp dotnet
  fi
}
