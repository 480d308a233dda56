
## api/apart.py

apart-module = Too much is being worked out just now. Try again in a moment.

## api/app.py

app-create-app = Modest Rotor

## api/bench.py

api-bench-stand-of = Say whose machine is to stand on the Bench.

## api/bench_hunts.py

bench-hunts-seen = nothing was read yet

## api/bench_live.py

bench-live-module-only-text = Only text is understood here. The rig goes on as it was.
bench-live-module-what-told = what was told
bench-live-module-rig-goes = { $place }: { $first }. The rig goes on as it was.
bench-live-module-rig-goes-2 = { $error } The rig goes on as it was.
bench-live-module-rig-stands = No rig stands here yet.
bench-live-module-rigs-run = { $most_rigs } rigs run already, in other pages. Close one of them first.

## api/catalogue.py

api-catalogue-take = No entry of the file can be taken in; the reasons stand beside each. Nothing was written.
api-catalogue-keep = It is not kept: { $reasons }.

## api/devices.py

api-devices-add-device-needs = A device needs a name; it was not kept.
api-devices-add-choose-profile = Choose a profile, or bring one as a file; the device was not kept.
api-devices-make-trouble = Only a simulated device that runs here can be made to do wrong.
api-devices-set-panel = Only a simulated panel that runs here can be made to err.
api-devices-view-device = { $host }:{ $port }, device { $unit }
api-devices-value = { $profile } has no { $role }.

## api/duty.py

api-duty-take-year = { $value_column }, { $days } days, { $rows } rows: ran { $written } of the time, { $starts_per_hour } starts an hour.

## api/guard.py

guard-module = another page
guard-refusal-address-most = An address has at most { $longest_path } characters, none of them a control character.
guard-refusal-request-holds = A request holds at most { $most } bytes; nothing was taken in.
guard-refusal-name-command = The name of a command has 8 to 40 letters, digits or dashes; nothing was saved.
guard-stranger-modest-rotor = Modest Rotor answers on this machine's own address only.
guard-stranger-another-page = Another page may not use this application.
guard-bounded = A request holds at most { $most } bytes; nothing was taken in.
guard-of-framework = The request cannot be read as JSON text in UTF-8; nothing was saved.
guard-unfit = what was sent
guard-unfit-at = { $place }: { $reason }.
guard-fault = A fault of this program, which was noted down.
guard-told-saved-what = It was saved. What follows from it could not be read just now; look again in a moment.
guard-told-known-whether = { $sentence } It is not known whether it was saved: look before it is sent again.
guard-told-any-case = { $sentence } In any case nothing was saved.
guard-nothing-there = Nothing answers at this address.
guard-not-allowed = This method is not allowed at this address.

## api/jobs.py

api-jobs-no-site = Jobs without a site
api-jobs-begin = A job needs the name of its machine, and nothing else.
api-jobs-module = This cannot be taken.
api-jobs-workings = That step has no working: it waits, or something that it rested on has changed.

## api/log.py

api-log-add-reading = A log has no column “{ $column }”. Nothing was kept.
api-log-add-set-job-another = That job is of another machine; nothing was kept.
api-log-add-set-set-there = That set is not there any more.
api-log-time = “{ $said }” is no time; type it like 2026-03-01 14:30. Nothing was kept.

## api/loop.py

api-loop-written = The drive did not take it: { $next }.
api-loop-end-loop-run = No step test and no watch is under way.
api-loop-loop-of = Say first what the loop is to hold.
api-loop-span = The loop waits for its sensor’s range.

## api/proof.py

api-proof-report-numbers-worked = {" "}(numbers worked out anew: program { $program_version } kept them in another form)
api-proof-report-times-utc = { $at }, times in UTC

## api/setup.py

api-setup-choose-device-stands-job = { $kept } stands at { $site }, not at this job's site; nothing was chosen.
api-setup-choose-device-choose-another = { $kept } is a { $kind }; choose another here.
api-setup-authorise-whoever-authorises = Whoever authorises writing says who they are, at the top of the page. Nothing was authorised.
api-setup-authorise-device-holds = The device holds something else than what you looked at. Nothing was authorised; look again.
api-setup-write = A sweep is running; pause or stop it first. Nothing was written.
api-setup-start-sweep-there-nothing = There is nothing to sweep: look at its ends and its step.
api-setup-start-sweep-drive-did = The drive did not take it: { $next }.
api-setup-steer-sweep = No sweep is under way.
api-setup-step = That step is not there any more: something that it rested on has changed.
api-setup-plan-for-set-up = Set-up { $waits }; nothing is written before.
api-setup-plan-for-stop-set = A stop in Set-up is not cleared: nothing is written that could start the machine.
api-setup-plan-for-steps-before = Steps before power are not signed: { $unsigned }. A real machine is not started past them; nothing was written.
api-setup-cautions-steps-before = Steps before power are not signed: { $unsigned }.
api-setup-cautions-simulated-device = This is no simulated device: a real machine may start.

## pages

pages-documentation-not-built = The documentation page is not built. Run ./start, which builds it.
pages-no-such-address = The API has no /{ $path }.
pages-no-such-file = No such file.
pages-not-built = The front end is not built. Run ./start, which builds it.
