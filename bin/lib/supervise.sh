# Keeps the servers running: one that dies is started again, and said; all stop only when that does not help.
# shellcheck shell=bash

# A server that dies so often within a minute will not stay up by being started once more.
MOST_DEATHS=5
DEATHS=()
# A log is turned over at so many bytes, and three old ones are kept.
LOG_BYTES=$((5 * 1024 * 1024))

supervise() {
  local name
  sleep 60 9>&- & TICKER=$!
  while :; do
    # What died while another was being started is told to nobody: so each is looked at.
    for name in "${ORDER[@]}"; do
      kill -0 "${RUNS[$name]}" 2>/dev/null || start_again "$name"
    done
    if ! kill -0 "$TICKER" 2>/dev/null; then
      turn_logs
      sleep 60 9>&- & TICKER=$!
    fi
    wait -n || true
  done
}

# start_again NAME: with a word, and no more often than helps.
start_again() {
  local name=$1 dead=${RUNS[$1]}
  DEATHS+=("$SECONDS $name")
  say "$(date '+%F %T') $name ended by itself: starting it again."
  if [ "$(recent "$name" "$SECONDS" "${DEATHS[@]}")" -gt "$MOST_DEATHS" ]; then
    fail "$name ended more than $MOST_DEATHS times within a minute. The logs are in $VAR/run and $VAR/storage/logs."
  fi
  # What it started and left behind would hold its port.
  kill -KILL -- "-$dead" 2>/dev/null || true
  "${STARTS[$name]}" || fail "$name could not be started again. The logs are in $VAR/run and $VAR/storage/logs."
  say "$(date '+%F %T') $name runs again."
}

# recent NAME NOW DEATH…: how often it died in the last minute.
recent() {
  local name=$1 now=$2 count=0 death; shift 2
  for death in "$@"; do
    [ "${death#* }" = "$name" ] && [ $((now - ${death%% *})) -le 60 ] && count=$((count + 1))
  done
  echo "$count"
}

# Servers write at the end of their files, so that a file emptied under them goes on from its beginning.
turn_logs() {
  local log
  for log in "$VAR"/pg/log "$VAR"/run/web/*.log "$VAR"/run/web/*.out "$VAR"/storage/logs/*.out \
    "$VAR"/storage/logs/*.log; do
    [ -f "$log" ] && [ "$(stat -c %s "$log")" -gt "$LOG_BYTES" ] || continue
    [ -f "$log.2" ] && mv -f "$log.2" "$log.3"
    [ -f "$log.1" ] && mv -f "$log.1" "$log.2"
    cp -p "$log" "$log.1" && : >"$log"
  done
  find "$VAR/storage/logs" -name '*.log.[123]' -mtime +14 -delete 2>/dev/null || true
}
