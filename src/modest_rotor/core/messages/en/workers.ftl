
## workers/bounded.py

bounded = Others are reading files here just now; nothing was taken in. Try again in a moment.
bounded-wait-nobody-waits = Nobody waits for it any more; nothing was taken in.
bounded-wait-could-read = It could not be read within { $seconds } seconds; nothing was taken in. Cut it smaller.
bounded-wait-could-read-memory = It could not be read with the memory that one file may take; nothing was taken in.
bounded-work = It takes more memory than one file may have; nothing was taken in. Cut it smaller.

## workers/solvers.py

solvers-stop = The application is being stopped.
solvers-ask = Something newer was asked meanwhile.
solvers-solve = Too much is being worked out just now. Try again in a moment.
solvers-serve-could-worked = It could not be worked out in the time that one request may take.
solvers-serve-what-worked = What worked on it ended. Try again.
