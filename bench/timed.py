"""Runs a command and prints its wall seconds, CPU seconds and the peak of what all its processes had in memory, in kB.

Memory is looked at twice a second; what processes share counts for each in part (Pss, man 5 proc_pid_smaps_rollup)."""
import os
import resource
import subprocess
import sys
import threading
import time


def family(pid):
    yield pid
    for task in os.listdir(f"/proc/{pid}/task"):
        with open(f"/proc/{pid}/task/{task}/children") as children:
            for child in children.read().split():
                yield from family(child)


def held(pid):
    total = 0
    for process in family(pid):
        with open(f"/proc/{process}/smaps_rollup") as lines:
            total += next(int(line.split()[1]) for line in lines if line.startswith("Pss:"))
    return total


def watch(pid, over, peak):
    while not over.wait(0.5):
        try:
            peak.append(held(pid))
        except (OSError, StopIteration):
            pass  # One of them ended while it was looked at.


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
