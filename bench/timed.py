"""Runs a command and prints its wall seconds, CPU seconds and the peak of what all its processes had in memory, in kB.

Memory is looked at twice a second; what processes share counts for each in part (Pss, man 5 proc_pid_smaps_rollup)."""
import os
import resource
import subprocess
import sys
import threading
import time


def read(path):
    """What it says; nothing where the process or thread ended meanwhile, or waits for its parent to hear of its end."""
    try:
        with open(path) as file:
            return file.read()
    except OSError:
        return ""


def tasks(pid):
    try:
        return os.listdir(f"/proc/{pid}/task")
    except OSError:
        return []


def family(pid):
    yield pid
    for task in tasks(pid):
        for child in read(f"/proc/{pid}/task/{task}/children").split():
            yield from family(child)


def held(pid):
    lines = (line for process in family(pid) for line in read(f"/proc/{process}/smaps_rollup").splitlines())
    return sum(int(line.split()[1]) for line in lines if line.startswith("Pss:"))


def watch(pid, over, peak):
    while not over.wait(0.5):
        peak.append(held(pid))


start = time.monotonic()
process = subprocess.Popen(sys.argv[1:], stdout=subprocess.DEVNULL, stderr=subprocess.DEVNULL)
over, peak = threading.Event(), [0]
watcher = threading.Thread(target=watch, args=(process.pid, over, peak))
watcher.start()
process.wait()
wall = time.monotonic() - start
over.set()
watcher.join()
used = resource.getrusage(resource.RUSAGE_CHILDREN)
print(f"{wall:.2f} {used.ru_utime + used.ru_stime:.2f} {max(peak)}")
sys.exit(process.returncode)
