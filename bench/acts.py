"""Acts on one batch of a thousand pages: stakes set and lifted, pages set aside, types named, undone; at both desks.

Arguments: address of a running demo, and a batch of a thousand pages that it has read already, if there is one. Prints a table. The pages are text of a program's file, read without recognition.
"""
import http.cookiejar
import json
import statistics
import sys
import time
import urllib.parse
import urllib.request
import uuid

base = sys.argv[1]
PAGES, EVERY, ACTS = 1000, 5, 40


def paper():
    """A PDF whose every fifth page is the first of a letter."""
    parts, offsets = [], []

    def add(body):
        offsets.append(len(parts))
        parts.append(body)

    add("<< /Type /Catalog /Pages 2 0 R >>")
    add("<< /Type /Pages /Count %d /Kids [%s] >>" % (PAGES, " ".join(f"{4 + 2 * i} 0 R" for i in range(PAGES))))
    add("<< /Type /Font /Subtype /Type1 /BaseFont /Helvetica >>")
    for i in range(PAGES):
        first = i % EVERY == 0
        lines = ["Dear Harbour Master,"] if first else []
        lines += [f"page {i + 1} of the harbour's papers, line {n}, PM-{4000 + i // EVERY}-K" for n in range(30)]
        text = "BT /F1 11 Tf 14 TL 60 620 Td " + " ".join(f"({line}) ' " for line in lines) + "ET"
        add("<< /Type /Page /Parent 2 0 R /MediaBox [0 0 595 842] /Contents %d 0 R "
            "/Resources << /Font << /F1 3 0 R >> >> >>" % (5 + 2 * i))
        add(f"<< /Length {len(text)} >>\nstream\n{text}\nendstream")
    out, places = bytearray(b"%PDF-1.4\n"), []
    for n, body in enumerate(parts):
        places.append(len(out))
        out += f"{n + 1} 0 obj\n{body}\nendobj\n".encode()
    xref = len(out)
    out += f"xref\n0 {len(parts) + 1}\n0000000000 65535 f \n".encode()
    out += b"".join(b"%010d 00000 n \n" % p for p in places)
    out += f"trailer << /Size {len(parts) + 1} /Root 1 0 R >>\nstartxref\n{xref}\n%%EOF\n".encode()
    return bytes(out)


jar = http.cookiejar.CookieJar()
opener = urllib.request.build_opener(urllib.request.HTTPCookieProcessor(jar))


def ask(path, body=None, headers=None, method=None):
    token = [c.value for c in jar if c.name == "XSRF-TOKEN"]
    every = {"X-XSRF-TOKEN": token[0]} if token else {}
    if isinstance(body, dict):
        body, every["Content-Type"] = json.dumps(body).encode(), "application/json"
    request = urllib.request.Request(base + path, body, {**every, **(headers or {})}, method=method)
    answer = opener.open(request).read()
    return json.loads(answer) if answer[:1] in (b"{", b"[") else None


ask("/api/csrf")
ask("/api/sign-in", urllib.parse.urlencode({"username": "t.vane", "password": "merrow-supervisor"}).encode())
ask("/api/csrf")
def sent():
    batch = ask("/api/batches", {"stream": "dues-letters"})["no"]
    edge = uuid.uuid4().hex
    ask(f"/api/batches/{batch}/files?key=thousand",
        f'--{edge}\r\nContent-Disposition: form-data; name="file"; filename="thousand.pdf"\r\n'
        "Content-Type: application/pdf\r\n\r\n".encode() + paper() + f"\r\n--{edge}--\r\n".encode(),
        {"Content-Type": f"multipart/form-data; boundary={edge}"})
    ask(f"/api/batches/{batch}/arrived", b"", method="POST")
    return batch


no = sys.argv[2] if len(sys.argv) > 2 else sent()
start = time.monotonic()
while True:
    batch = ask(f"/api/batches/{no}")
    if batch["stage"] not in ("intake",) and len(batch["pages"]) == PAGES:
        break
    time.sleep(2)
print(f"{PAGES} pages, {len(batch['documents'])} documents, read in {time.monotonic() - start:.0f} s.\n")


def acts(fields, batch):
    """Each act as a desk sends it: named by the revision it was made on, its answer what changed since."""
    times, sizes = {}, {}

    def act(kind, path, body=None):
        nonlocal batch
        query = f"?fields={'true' if fields else 'false'}&since={urllib.parse.quote(batch['tag'])}"
        begun = time.monotonic()
        token = [c.value for c in jar if c.name == "XSRF-TOKEN"][0]
        headers = {"X-XSRF-TOKEN": token, "If-Match": f'"{batch["revision"]}"', "Idempotency-Key": uuid.uuid4().hex,
                   "Content-Type": "application/json"}
        request = urllib.request.Request(
            f"{base}/api/batches/{no}{path}{query}", json.dumps(body).encode() if body else b"", headers, method="POST")
        raw = opener.open(request).read()
        times.setdefault(kind, []).append((time.monotonic() - begun) * 1000)
        sizes.setdefault(kind, []).append(len(raw))
        answer = json.loads(raw)
        batch = {"tag": answer["tag"], "revision": answer["revision"]}

    for i in range(ACTS):
        page = 3 + 20 * i
        act("a document begins here", "/decisions", {"act": "plantStake", "page": page})
        act("page set aside", "/decisions", {"act": "setAside", "pages": [page + 1]})
        act("undone", "/undo")
        act("redone", "/redo")
        act("type named", "/decisions", {"act": "nameType", "page": page, "type": "dues-letter"})
    for kind, took in times.items():
        took.sort()
        print(f"| {'Index' if fields else 'Page'} desk: {kind} | {len(took)} | {statistics.median(took):.0f} "
              f"| {took[int(len(took) * 0.95)]:.0f} | {statistics.median(sizes[kind]) / 1024:.1f} |", flush=True)
    return batch


print("| act | times | median ms | 95th percentile ms | answer, median kB |\n|---|---|---|---|---|")
batch = acts(False, batch)
begun = time.monotonic()
batch = ask(f"/api/batches/{no}?fields=true")
first = time.monotonic() - begun
acts(True, batch)
print(f"\nThe first look with fields took {first:.1f} s.")
