
## devices/intents.py

intents-looked-up-known-what = it is not known what became of it: the device was removed
intents-looked-up-application-cut = the application was cut off while it was written; read back later, the device holds it
intents-looked-up-application-cut-off = the application was cut off while it was written; read back later, the device holds what it held before
intents-looked-up-application-cut-off-while = the application was cut off while it was written; read back later, the device holds another value

## devices/job_changes.py

job-changes-change-of-run = The job was being changed all the while; do it once more.

## devices/loop_run.py

loop-run-run = It was cut off ({ $name }). Look at the machine.
loop-run-step-before-step = before the step
loop-run-step-after-step = after the step
loop-run-step-step-read = The step was read; its values stand below.
loop-run-not-still-told-hz = Told { $told_hz } Hz the drive gives { $gives } Hz: look at its ramps, its own limits, skipped bands and faults, then step again.
loop-run-not-still-value-did = The value did not stand { $when }: something else moves it. Put other loops in hand, then step again.
loop-run-watch-too-few = Too few answers came to tell a swing. Watch once more.
loop-run-watch-one-s = , one in { $period_s } s
loop-run-watch-watched = Watched: { $swing }{ $beat }.
loop-run-send-authorisation-write = The authorisation to write { $kept } has run out.
loop-run-send-moved = moved by a { $kind }
loop-run-refuse-second-run-under-way = A { $kind } is under way on this drive, begun by { $who }: let it end, or stop it first.
loop-run-refuse-second-run-somebody = somebody

## devices/reading.py

reading-panel-set-set-made = { $next } No set was made.
reading-panel-set-read = read from { $panel }
reading-panel-trial-machine-stands = The machine stands still: there is no flow to read.
reading-panel-trial-reads-flow = { $panel } reads no flow and no static; type what you read.
reading-refuse-unsteady = It is still on its way to what it was told: read once it runs steady. Nothing was kept.

## devices/simulated_devices.py

simulated-devices-start-simulated-devices = The Bench, meter panel
simulated-devices-refuse-bench = “{ $kept }” stands on the Bench: nothing that it shows is a reading of a job. Choose another.

## devices/sweep_run.py

sweep-run-run-paused-here = Paused here.
sweep-run-run-sweep-waits = { $trouble } The sweep waits; look at the machine, then go on.
sweep-run-run-sweep-cut = The sweep was cut off ({ $name }). Look at the machine, then go on.
sweep-run-run-swept-up = Swept up and down.
sweep-run-refuse-elsewhere = Told { $hertz } Hz the drive gives { $output } Hz: look at its own limits, skipped bands and faults.
sweep-run-write = The authorisation to write { $kept } has run out.
sweep-run-end = { $sentence } Not put back: look at the drive.
sweep-run-put-back-put-back = {" "}Not put back: { $error } Look at the drive.
sweep-run-put-back-drive-told = {" "}The drive is told again what it was told before.
sweep-run-refuse-second-sweep-under = A sweep is under way on this drive, begun by { $who }: let it go on, or stop it first.
sweep-run-refuse-second-somebody = somebody
sweep-run-run-of = The application was restarted meanwhile. The drive goes on as it was told last: look at it, then go on or stop.

## devices/writing.py

writing-same = written, reads back the same
writing-not-recorded = it could not be written down, and is looked up in the device when the database is back
writing-caution = A write can start a machine or change its speed: nobody at wheel, belt or pump, guards on, and somebody who sees it.
writing-values-for = Limits and bands are a drive's; what was chosen on Decision is none.
writing-command-duty-step = That duty step is not there any more.
writing-command-step-command = This step has no command that could be written.
writing-command-takes-command = { $profile } takes no command: it only measures.
writing-loop-loop-own = { $profile } has no loop of its own that could be set from here.
writing-loop-drive-s = This drive’s loop holds a duct’s static; say on Set-up that it is to.
writing-loop-loop-waits = The loop waits for its set point and its sensor’s range.
writing-loop-add-gains = Add the gains that are to be tried first: gain and integral time.
writing-step-of = The bands that the drive skips leave no room for a step test. Clear them first, or step it by hand.
writing-plan-write = { $kept } has no register for this that may be written.
writing-carry-out-holds-something = { $kept } holds something else than what you looked at. Nothing was written; look again.
writing-carry-out-simulated-device = { $kept } is no simulated device: it is written only after somebody has authorised writing to it for this job. Nothing was written; to stop it now, use its own stop.
writing-carry-out-written-one = not written: the one before it failed
writing-carry-out-held-already = held it already
writing-carry-out-database-does = the database does not answer
writing-carry-out-sent-written = not sent: it is written down first, and the database does not answer
writing-carry-out-written-but = written, but it reads back another value
writing-stop-device-nothing-could = { $kept } has nothing by which it could be stopped from here: use its own stop.
writing-stop-device-told-stop = { $error } It was told to stop, and did not say that it does: use its own stop now.
writing-stop-device-told-stop-but = told to stop, but it reads back another value: use its own stop now

## fieldbus/profile.py: what a device's profile may not say
profile-unfit = { $place }: { $reason }. Nothing was taken in; correct the file.
profile-whole = the profile
profile-not-json = The file is not JSON: { $error }. Nothing was taken in.
profile-no-unit = { $role }: “{ $unit }” is no unit of { $label }
profile-no-scale = { $role }: a scale of zero says nothing
profile-input-written = { $role }: an input register cannot be written
profile-limits-crossed = { $role }: its least value { $low } is not below its highest { $high }
profile-limit-untold = { $role }: { $limit } { $unit } cannot be told in { $type } × { $scale }
profile-role-twice = two registers say they are “{ $role }”
profile-role-missing = a { $kind } needs a register for { $roles }
profile-same-register = “{ $role }” and “{ $other }” both lie on { $kind } register { $address }
profile-drive-traits = a drive says its traits: bands that it skips, its lowest and its highest frequency
