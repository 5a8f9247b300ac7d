#!/usr/bin/env bash
# Looks at the application from another network, as a phone of the house would, and prints what it got to see. As root: it makes
# a network of its own, with one address of this machine in it and one of the other side.
set -u
cd "$(dirname "$(readlink -f "${BASH_SOURCE[0]}")")/../../../.."

WORK=$(mktemp -d /tmp/yellow-rail-lan.XXXXXX)
chmod 755 "$WORK"
SPACE=yellow-rail-phone PORT=18081 HERE=192.168.219.1 THERE=192.168.219.2
URL=https://$HERE:$PORT
APP_PID="" failed=0

cleanup() {
  kill $APP_PID 2>/dev/null
  wait $APP_PID 2>/dev/null
  ip netns del $SPACE 2>/dev/null
  rm -rf "$WORK"
}
trap cleanup EXIT

ip netns add $SPACE || exit 2
ip link add yr-here type veth peer name yr-there
ip link set yr-there netns $SPACE
ip addr add $HERE/24 dev yr-here
ip link set yr-here up
ip netns exec $SPACE ip addr add $THERE/24 dev yr-there
ip netns exec $SPACE ip link set yr-there up

start() {
  : >"$WORK/said"
  ./yellow-rail start --yes --port $PORT --data "$WORK/data" "$@" >"$WORK/said" 2>&1 &
  APP_PID=$!
  until grep -q 'serves on' "$WORK/said"; do
    kill -0 $APP_PID 2>/dev/null || { cat "$WORK/said" >&2; exit 1; }
    sleep 0.2
  done
}

# The phone: curl from the other network, which keeps its cookies.
phone() { ip netns exec $SPACE curl -sk -m 10 -b "$WORK/jar" -c "$WORK/jar" -H 'Accept: text/html' "$@"; }
status() { phone -o "$WORK/body" -w '%{http_code}' "$@"; }
token() { sed -n 's/.*name="_csrf" value="\([^"]*\)".*/\1/p' | head -1; } # of the first form of a page
code() { curl -s "http://127.0.0.1:$PORT/devices" | sed -n 's/.*class="one-time"[^>]*>\([^<]*\)<.*/\1/p'; }
tell() {
  status --data-urlencode "_csrf=$(phone $URL/device | token)" --data-urlencode "code=$1" --data-urlencode 'name=Drill' $URL/device
}

# check WHAT IS SHOULD-BE
check() {
  local came=well
  if [ "$2" != "$3" ]; then came="FAILED, should be $3"; failed=$((failed + 1)); fi
  printf '| %-66s | %-40s | %s\n' "$1" "$2" "$came"
}

start
check "without --lan: who listens beyond loopback" "$(ss -Hltnp | grep -F "pid=$(pgrep -f "port=$PORT" | head -1)," | grep -cvE '127\.0\.0\.1\]?:')" 0
check "without --lan, asked from the other network: curl ends with" "$(phone -o /dev/null $URL/; echo $?)" 7
kill $APP_PID; wait $APP_PID 2>/dev/null

start --lan $HERE
check "TLS: what the certificate is for" \
  "$(echo | ip netns exec $SPACE openssl s_client -connect $HERE:$PORT 2>/dev/null | openssl x509 -noout -ext subjectAltName | tail -1 | xargs)" \
  "IP Address:$HERE, DNS:yellow-rail.local"
check "its SHA-256 is what the terminal says" \
  "$(echo | ip netns exec $SPACE openssl s_client -connect $HERE:$PORT 2>/dev/null | openssl x509 -noout -fingerprint -sha256 | cut -d= -f2)" \
  "$(grep -E '^([0-9A-F]{2}:){31}[0-9A-F]{2}$' "$WORK/said")"
check "TLS 1.1" "$(echo | ip netns exec $SPACE openssl s_client -tls1_1 -connect $HERE:$PORT >/dev/null 2>&1 && echo taken || echo refused)" refused
check "without TLS: the bench" "$(phone http://$HERE:$PORT/ | grep -c 'Bench')" 0
for path in / /drawer /devices /runs/1 /actuator/health /v3/api-docs /keeping/everything.json /js/keys.js; do
  check "without a code: $path" "$(status -w '%{http_code} to %{redirect_url}' $URL$path)" "302 to $URL/device"
done
check "without a code: the JSON interface" "$(ip netns exec $SPACE curl -sk -o /dev/null -w '%{http_code}' -H 'Content-Type: application/json' -d '{}' $URL/api/idle)" 401
check "another name for us (rebinding)" "$(status -H 'Host: evil.example' $URL/device)" 400
check "yellow-rail.local" "$(status -H "Host: yellow-rail.local:$PORT" $URL/device)" 200
check "another site's form" "$(status -H 'Origin: https://evil.example' -d code=x $URL/device)" 403
before=$(code)
check "five wrong codes" "$(for i in 1 2 3 4 5; do printf '%s ' "$(tell AAAA-AAAA)"; done)" "422 422 422 422 429 "
check "then the code has changed" "$([ "$(code)" != "$before" ] && echo changed)" changed
check "and for a minute even the right one" "$(tell "$(code)")" 429
sleep 61
check "after it, told the code" "$(tell "$(code)")" 302
check "with it: the bench" "$(status $URL/)" 200
check "with it: the page of devices" "$(status -w '%{http_code} to %{redirect_url}' $URL/devices)" "302 to $URL/device"
kill $APP_PID; wait $APP_PID 2>/dev/null
start --lan $HERE
check "after a start anew: the bench" "$(status $URL/)" 200
cp "$WORK/jar" "$WORK/machine"
page=$(curl -s -b "$WORK/machine" -c "$WORK/machine" "http://127.0.0.1:$PORT/devices")
curl -s -o /dev/null -b "$WORK/machine" -c "$WORK/machine" \
  --data-urlencode "_csrf=$(token <<<"$page")" \
  "http://127.0.0.1:$PORT$(grep -o '/devices/[0-9]*/away' <<<"$page" | head -1)"
check "sent away at the machine: the bench" "$(status -w '%{http_code} to %{redirect_url}' $URL/)" "302 to $URL/device"
echo "failed: $failed"
exit $((failed > 0))
