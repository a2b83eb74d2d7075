"""Runs a command and prints its wall seconds, CPU seconds and the largest process's peak memory in kB."""
import resource
import subprocess
import sys
import time

start = time.monotonic()
done = subprocess.run(sys.argv[1:], stdout=subprocess.DEVNULL, stderr=subprocess.DEVNULL)
wall = time.monotonic() - start
used = resource.getrusage(resource.RUSAGE_CHILDREN)
print(f"{wall:.2f} {used.ru_utime + used.ru_stime:.2f} {used.ru_maxrss}")
sys.exit(done.returncode)
