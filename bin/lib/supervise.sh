# Keeps the servers running: one that dies is started again, and said; all stop only when that does not help.
# shellcheck shell=bash

# A server that dies so often within a minute will not stay up by being started once more.
MOST_DEATHS=5
# A log is turned over at so many bytes, and three old ones are kept.
LOG_BYTES=$((5 * 1024 * 1024))

supervise() {
  local dead status name ticker deaths=() now
  sleep 60 9>&- & ticker=$!
  while :; do
    status=0; dead=
    wait -n -p dead || status=$?
    [ -n "$dead" ] || continue
    if [ "$dead" = "$ticker" ]; then
      turn_logs
      sleep 60 9>&- & ticker=$!
      continue
    fi
    name=$(name_of "$dead") || continue
    now=$SECONDS
    deaths+=("$now $name")
    say "$(date '+%F %T') $name ended by itself (status $status): starting it again."
    if [ "$(recent "$name" "$now" "${deaths[@]}")" -gt "$MOST_DEATHS" ]; then
      fail "$name ended more than $MOST_DEATHS times within a minute. The logs are in $VAR/run and $VAR/storage/logs."
    fi
    # What it started and left behind would hold its port.
    kill -KILL -- "-$dead" 2>/dev/null || true
    "${STARTS[$name]}" || fail "$name could not be started again. The logs are in $VAR/run and $VAR/storage/logs."
    say "$(date '+%F %T') $name runs again."
  done
}

name_of() {
  local name
  for name in "${ORDER[@]}"; do [ "${RUNS[$name]}" = "$1" ] && { echo "$name"; return 0; }; done
  return 1
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
