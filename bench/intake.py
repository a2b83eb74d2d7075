"""Screens while very much comes in: 200 files dropped into a watched folder, ten people's requests beside it.

Arguments: address of a running demo, folder that it watches, folder with JPEG pages to drop. Prints a table.
"""
import http.cookiejar
import json
import os
import shutil
import statistics
import sys
import threading
import time
import urllib.parse
import urllib.request

base, watched, pages = sys.argv[1:4]
FILES, PEOPLE, QUIET = 200, 10, 40


class Person:
    def __init__(self, name, password):
        self.jar = http.cookiejar.CookieJar()
        self.open = urllib.request.build_opener(urllib.request.HTTPCookieProcessor(self.jar)).open
        self.get("/api/csrf")
        token = [c.value for c in self.jar if c.name == "XSRF-TOKEN"][0]
        form = urllib.parse.urlencode({"username": name, "password": password}).encode()
        request = urllib.request.Request(base + "/api/sign-in", form, {"X-XSRF-TOKEN": token})
        self.open(request).read()

    def get(self, path):
        return self.open(base + path).read()


def screens(person, batch):
    """What one person's screens ask for in turn: the board, a batch at two desks, a page, a search."""
    return ["/api/board", f"/api/batches/{batch}", f"/api/batches/{batch}?fields=true",
            f"/api/batches/{batch}/pages/1/picture?width=900", "/api/archive?q=harbour", "/api/channels"]


def load(until):
    times, stop = [], threading.Event()

    def work():
        person = Person("m.tarrow", "merrow-operator")
        board = json.loads(person.get("/api/board"))["batches"]
        batch = next(b["no"] for b in board if b["stage"] == "index")
        while not stop.is_set():
            for path in screens(person, batch):
                start = time.monotonic()
                person.get(path)
                times.append((time.monotonic() - start) * 1000)
                # People look at what they see: about two requests a second each.
                stop.wait(0.5)

    threads = [threading.Thread(target=work) for _ in range(PEOPLE)]
    for t in threads:
        t.start()
    time.sleep(5)
    times.clear()
    start = time.monotonic()
    read = until()
    took = time.monotonic() - start
    stop.set()
    for t in threads:
        t.join()
    return times, read, took


def quiet():
    time.sleep(QUIET)
    return 0


def drop():
    files = sorted(f for f in os.listdir(pages) if f.endswith(".jpg"))
    for i in range(FILES):
        part = os.path.join(watched, f"copy-{i:03d}.jpg.part")
        shutil.copy(os.path.join(pages, files[i % len(files)]), part)
        os.rename(part, part[:-5])
    person = Person("m.tarrow", "merrow-operator")
    while True:
        time.sleep(1)
        line = json.loads(person.get("/api/channels"))["line"]["pages"]
        if line == 0 and not [f for f in os.listdir(watched) if f.endswith(".jpg")]:
            return FILES


print("| what | requests | median ms | 95th percentile ms | pages a minute |")
print("|---|---|---|---|---|")
for name, until in (("ten people, nothing comes in", quiet), (f"ten people, {FILES} files dropped at once", drop)):
    times, read, took = load(until)
    times.sort()
    p95 = times[int(len(times) * 0.95)]
    rate = f"{60 * read / took:.0f}" if read else "-"
    print(f"| {name} | {len(times)} | {statistics.median(times):.0f} | {p95:.0f} | {rate} |", flush=True)
