
## store/board.py

store-board-worked-out-anew-being-worked = is being worked out anew
store-board-worked-out-anew-moment = a moment
store-board-unreadable-cannot-read = cannot be read by this program; it is kept as it is
store-board-unreadable-program-reads = a program that reads it
store-board-too-long = takes too long to be worked out; it is kept as it is

## store/catalogue.py

store-catalogue-product = The catalogue has no entry “{ $code_ }”.
store-catalogue-keep-products-nothing-written = { $one } { $reasons }. Nothing was written.
store-catalogue-keep-products-catalogue-most = A catalogue has at most { $most_products } entries; nothing was written.
store-catalogue-remove-product = The catalogue has no entry “{ $code_ }”.

## store/database.py

database-refuse-while-away = The database does not answer just now.
database-connect-database-away = the database was away a moment ago
database-connect-all-connections = all connections are in use
database-connection = Too many requests at once.
database-told-somebody-else = Somebody else is saving in the same place just now.
database-told-disk-memory = The disk or the memory of the database is full. Make room on this machine.
database-told-database-does = The database does not answer just now.
database-told-what-rests = What this rests on was changed or removed meanwhile. Look again.
database-told-database-cannot = The database cannot keep this as it is: too long for its place, or with characters it does not hold.

## store/devices.py

store-devices-device = There is no device { $device_id }.
store-devices-device-named-device-called = No device called “{ $name }” is kept here; choose one.
store-devices-device-named-device-chosen = No device is chosen yet.
store-devices-add-device-most-devices = At most { $most_devices } devices are kept; this one was not. Remove one first.
store-devices-add-device-there-device = There is a device called “{ $name }” already; give this one another name.
store-devices-remove-device = A simulated device ships with the application and stays.
store-devices-authorise = There is no job { $job_id }.
store-devices-not-known-yet = sent; what became of it is not known yet

## store/firm.py

firm-mark-or-refuse = The firm has no mark.

## store/jobs.py

store-jobs-step-back-there-nothing = There is nothing to { $kind } in this job.
store-jobs-step-back-changed-another = “{ $target }” was changed from another job of this machine since; it cannot be taken back from here.
store-jobs-locked-changed-ago = “{ $newest }” was changed { $span_told } ago
store-jobs-locked-changed = it was changed
store-jobs-locked-window-out = This window is out of date: { $what }, in another window. Nothing was overwritten, and what you typed is kept here.
store-jobs-row-of = There is no job { $job_id }.

## store/logs.py

logs-machine-job = There is no machine { $machine_id }.
logs-keep-readings-reading-lies = A reading lies { $ahead } in the future: a clock runs ahead. Nothing was taken in.
logs-keep-readings-reading-without = A reading without a value says nothing; nothing was taken in.
logs-keep-readings-machine-keeps = A machine keeps at most { $most_readings } readings; nothing was taken in.
logs-add-event = { $at } lies in the future; a service is noted once it is done. Nothing was kept.
logs-remove-event = There is no service event { $event_id } of this machine.
logs-nothing-told = waits for readings
logs-not-judged = cannot be judged: a fault of this program, which was noted down
logs-work-out = { $lower }, due again
logs-machine = There is no machine { $machine_id }.

## store/people.py

people-meters-of-kept-any = { $strip } has not kept any meters yet.
people-meters-of-nobody = Nobody
people-keep-meters = Say who you are at the top of the page first; meters belong to a person.

## store/photos.py

photos-keep-photo = A job keeps at most { $most_photos } photographs; this one was not kept.
photos-row = Job { $job_id } has no photograph { $photo_id }.
photos-job = There is no job { $job_id }.

## store/saving.py

saving-init = This was saved before; it is not done twice.

## store/shelves.py

shelves-put-on = This job was signed off, or a device was written for it: that is a record. Nothing was deleted; archive it.

## store/signed.py

signed-sign-sign-off = A sign-off carries the name of whoever signs; nothing was signed.
signed-sign-signed-just = { $who } has signed just this revision already; nothing was signed twice.
signed-refuse-moved = The job was changed meanwhile, in another window. Look at it once more, then sign.
signed-refuse-open-everything-could = Not everything could be worked out; nothing was signed. { $sentence }
signed-refuse-open-stop-set = A stop in Set-up is not cleared. It is lifted there, not here; nothing was signed.
signed-refuse-open-there-nothing = There is nothing to sign yet: the proof { $waits }.
signed = Job { $job_id } has no sign-off { $number }.
signed-shown = Job { $job_id } has no sign-off { $number }.
signed-since-signed-numbers-kept = Its numbers were kept in a form of an earlier program, and are worked out anew.
signed-since-signed-saving-promised = The saving promised
signed-since-signed-saving-measured = The saving measured
signed-since-signed-signed-today = { $words }: { $before } as signed; today's program makes it { $after }.
signed-since-signed-verdict-today = The verdict was “{ $verdict }”; today's program says “{ $verdict_2 }”.

## store/sites.py

sites-site = There is no site { $site_id }.

## store/solving.py

solving-told = This cannot be worked out: a fault of this program, which was noted down.
