### What the page says.

## balance-pane

balance-pane-read = as read
balance-pane-step = step { $index }
balance-pane-balance = Balance
balance-pane-being-refined = being refined to what is typed
balance-pane-what-balance = What the balance shows
balance-pane-drawn-three = drawn, three at most
balance-pane-options-drawn = Options that are drawn
balance-pane-chart-waits = The chart waits for the server.
balance-pane-waits-flow = waits for a flow
balance-pane-waits-speed = waits for a speed
balance-pane-waits-speed-plate = waits for speed and plate
balance-pane-shaft-power = shaft power
balance-pane-waits-load = waits for a load
balance-pane-input-power = input power
balance-pane-waits-watts = waits for watts
balance-pane-waits-amps = waits for amps
balance-pane-close = close
balance-pane-open-balance = open the balance
balance-pane-open = open the{" "}
balance-pane-balance-2 = balance

## decisions

decisions-refused = Refused
decisions-saved = Not saved
decisions-do-newest = do it on the newest
decisions-give-up = give it up
decisions-saved-waits = Not saved: waits for your decision
decisions-job-changed = { $by }: the job was changed in another window meanwhile.
decisions-another-window = { $by }: in another window it became “{ $now }” meanwhile.
decisions-empty = empty

## in-bin

in-bin-thrown-away = Deleted
in-bin-thirty-days = {" "}on { $thrown }; thirty days later it is gone with all that is typed here. { $problem }
in-bin-bring-back = Restore

## job-page

job-page-short = in short
job-page-modest-rotor = { $machine }, { $stationNamed } · Modest Rotor
job-page-board = Board
job-page-balance = Balance
job-page-being-fetched = being fetched
job-page-waiting = Waiting
job-page-saved = Saved
job-page-saved-2 = Not saved
job-page-show-newest = show the newest, and keep what I typed
job-page-job-cannot = This job cannot be shown
job-page-try-again = Try again

## keys-panel

keys-panel-alt-alt = Alt 1 … Alt 9, Alt 0
keys-panel-station-one = station one to nine, and the tenth
keys-panel-alt-key = Alt with the key left of 1
keys-panel-job-short = the job in short
keys-panel-board-outside = Board (outside a field)
keys-panel-enter-outside = Enter, outside a field
keys-panel-one-thing = the one thing to do next, at the foot
keys-panel-enter-field = Enter, in a field
keys-panel-keep-go = keep it, and go to the next best reading
keys-panel-tab-shift = Tab, Shift Tab
keys-panel-next-field = next field, field before
keys-panel-f-field = F1, in a field
keys-panel-what-means = what it means
keys-panel-field-above = field above, field below
keys-panel-alt = Alt ← →
keys-panel-same-quantity = same quantity, other set
keys-panel-enter-space = Enter or Space, on a figure
keys-panel-working = its working
keys-panel-esc = Esc
keys-panel-close-working = close a working; in a field, put back what was there
keys-panel-ctrl-z = Ctrl Z, Ctrl Shift Z
keys-panel-undo-redo = undo, redo
keys-panel-add-set = add a set or a step (outside a field)
keys-panel-loud-while = loud, while the noise sweep is open on Set-up
keys-panel-meter-bench = on a meter of the Bench: it falls, stays the same, rises
keys-panel-enter-o = Enter, O
keys-panel-bench-turn = on the Bench: turn what waits; switch the rig off or on
keys-panel-find-job = find a job, on the Board
keys-panel-panel-outside = this panel (outside a field)
keys-panel-each-site = of each site
keys-panel-cfm-w = cfm, in. w.g., hp
keys-panel-you-keys = You, and the keys
keys-panel-close = close
keys-panel-your-name = Your name
keys-panel-goes-every = goes with every change you make from here on; kept on this machine
keys-panel-units = Units
keys-panel-numbers = Numbers
keys-panel-language = Language
keys-panel-numbers-typed = as they are shown; typed they may stand either way
keys-panel-screen = Screen
keys-panel-light = light
keys-panel-dark = dark
keys-panel-sunlight = sunlight
keys-panel-on = on
keys-panel-off = off
keys-panel-those-stand = those that stand alone below, outside a field; the ones with Alt or Ctrl stay
keys-panel-single-keys = Single keys

## left-out

left-out-left-out = Left out
left-out-kept-but = {" "}{ $label }{ $typed } is kept, but nothing can be worked out with it: { $reason } Read it again, or leave it empty; the rest is worked out without it.

## loaded

loaded-page-waits = This page waits for the server
loaded-opened-before = It was not opened before, and the server does not answer just now. What you typed is kept in this browser; the page opens by itself when the server is back.
loaded-try-again = Try again

## not-found

not-found-there-such = There is no such page
not-found-address-leads = The address leads nowhere.{" "}
not-found-go-board = Go to the Board.

## renewed

renewed-program-was = The program was renewed after this page was opened, and some of it may stand empty here. Open it again: what was saved is saved.
renewed-open-again = Open again

## page-failed

page-failed-opened-modest = Not opened · Modest Rotor
page-failed-page-could = This page could not be opened
page-failed-server-does = The server does not answer just now. The page opens by itself when it is back.
page-failed-something-went = Something went wrong while it was fetched or drawn.
page-failed-what-you = { $away } What you typed is kept in this browser, and what was saved is saved.
page-failed-try-again = Try again
page-failed-board = to the Board

## rail

rail-short = In short
rail-put-bench = Put it on the Bench
rail-stations-job = Stations of this job
rail-waits = waits
rail-stations = stations ▾
rail-stations-2 = Stations
rail-close = close

## saved-line

saved-line-undo = Undo
saved-line-ctrl-z = Ctrl Z
saved-line-redo = Redo
saved-line-redo-2 = Redo “{ $redo_label }”
saved-line-kept-here = kept here
saved-line-saved = not saved
saved-line-one-act = one act waits for your decision
saved-line-acts-wait = { $asks } acts wait for your decision
saved-line-kept-browser = kept in this browser, not yet saved
saved-line-one-value = one value not saved yet
saved-line-values-saved = { $open } values not saved yet
saved-line-saved-2 = saved { $toLocaleTimeString }
saved-line-decide = decide
saved-line-saving = saving
saved-line-all-saved = saved

## top-line

top-line-cfm-w = cfm, in. w.g., hp
top-line-units-each = units of each site
top-line-what-page = to what this page is for
top-line-modest-rotor = Modest Rotor
top-line-modest-rotor-board = Modest Rotor: to the Board
top-line-where-you = Where you are
top-line-units-change = Units: { $said }. Change to { $UNIT_WORDS }
top-line-you-keys = You, keys{" "}

## theme


## use-keys


## bench-page

bench-page-bench = Bench
bench-page-why-does = Why does it do that?
bench-page-course = Course
bench-page-predict-then = Predict, then see.
bench-page-fault-hunt = Fault hunt
bench-page-what-hidden = What is hidden, and what proves it?
bench-page-record = Record
bench-page-what-still = What is still mistaken?
bench-page-modest-rotor = { $name } · Modest Rotor
bench-page-board = Board
bench-page-picture-rig = Picture of the rig
bench-page-seen-so = Seen so far
bench-page-simulated-nothing = simulated; nothing here is a reading of a job
bench-page-waiting = Waiting
bench-page-rig-does = {" "}The rig does not answer. What you set is kept here; it goes on by itself when the rig is back.
bench-page-rig = Rig
bench-page-free-turn = free to turn
bench-page-tried = { $tried } of { $course } tried
bench-page-level-ended = level { $level }, { $ended } ended
bench-page-parts-bench = Parts of the Bench
bench-page-nothing-predicted = nothing predicted yet
bench-page-most-often = ; { $MeterWords } most often wrong
bench-page-right = { $right } of { $asked } right{ $most }

## course-sheet

course-sheet-say-what = Say what each meter will do, then turn the rig and see. Each takes two or three minutes.
course-sheet-next = {" "}next
course-sheet-tried = tried
course-sheet-still-mistaken = ; still mistaken: { $mistaken }
course-sheet-right = { $right } of { $asked } right{ $still }

## hunt-pane

hunt-pane-seen-so = Seen so far
hunt-pane-nothing-yet = Nothing yet. Begin with what is cheap to read.
hunt-pane-simulated = simulated
hunt-pane-when-right = when right
hunt-pane-now = now
hunt-pane-within-uncertainty = within its uncertainty
hunt-pane-ruled-out = ruled out by what you saw

## hunt-sheet

hunt-sheet-two-things = Two things are wrong with it.
hunt-sheet-one-thing = One thing is wrong.
hunt-sheet-you-readings = { $capital }. { $count } You have its readings from when it was right.
hunt-sheet-hunt = Hunt { $number }
hunt-sheet-number-hunt = Number of a hunt, 0 to 2,999
hunt-sheet-number = its number
hunt-sheet-open = Open
hunt-sheet-next-you = Next for you: hunt { $number }
hunt-sheet-minutes-spent = {" "}of { $budget } minutes spent
hunt-sheet-read = Read
hunt-sheet-min = {" "}{ $minutes } min
hunt-sheet-readings = Readings
hunt-sheet-min-2 = { $minutes } min
hunt-sheet-tests = Tests
hunt-sheet-done = {" "}done{ $times }
hunt-sheet-name-both = Name both
hunt-sheet-name = Name it
hunt-sheet-when-you = when you would put your name to it
hunt-sheet-what-done = what is to be done next
hunt-sheet-what-done-next = What is to be done next
hunt-sheet-name-fault = Name the fault
hunt-sheet-one-two = One of two found.
hunt-sheet-another = It was another.
hunt-sheet-stopped-unsafe = Stopped: an unsafe act.
hunt-sheet-out-time = Out of time.
hunt-sheet-hidden = {" "}Hidden was { $hidden }.
hunt-sheet-what-asks = What it asks for next: { $next_steps }.{" "}
hunt-sheet-you-said = You said so.
hunt-sheet-you-named = You named another step.
hunt-sheet-your-way = your way
hunt-sheet-cheapest-way = the cheapest way by the ranking
hunt-sheet-next-hunt = Next hunt: { $number }
hunt-sheet-one-again = This one again
hunt-sheet-debrief = Debrief
hunt-sheet-minutes = { $title }, { $minutes } minutes

## knobs

knobs-turned = turned
knobs-parts-rig = Parts of the rig
knobs-knobs = Knobs
knobs-now = {" "}now { $knobText }
knobs-less = { $knob }: less
knobs-more = { $knob }: more

## meters

meters-meters = Meters
meters-simulated-meters = simulated meters, and their last minute
meters-what-i = what I expect: { $said } of { $of } said
meters-what-did = what it did, and why
meters-worked-out = worked out at every turn
meters-what-i-expect = What I expect of { $MeterWords }
meters-to = , { $was } to { $now }
meters-you-said = {" "}as you said
meters-you-said-2 = {" "}you said it { $WORD }

## pictures

pictures-torque-slip = Torque and slip
pictures-picture = Picture
pictures-simulated-rig = of the simulated rig
pictures-bare-shaft = A bare shaft moves nothing.

## record-sheet

record-sheet-record = the record of
record-sheet-topic = topic
record-sheet-said-rightly = said rightly
record-sheet-still-mistaken = still mistaken
record-sheet-of = { $right } of { $asked }
record-sheet-nothing = nothing
record-sheet-nothing-predicted = Nothing was predicted yet under this name.
record-sheet-fault-hunts = Fault hunts
record-sheet-hunt = hunt
record-sheet-ended = ended
record-sheet-minutes-spent = minutes spent, given, cheapest
record-sheet-hidden = hidden
record-sheet-next-step = next step
record-sheet-right = right
record-sheet-another-asked = another was asked for
record-sheet-none-ended = None has ended yet under this name.
record-sheet-all-results = All results as CSV
record-sheet-every-learner = of every learner on this machine, one hunt to a row

## rig-chooser

rig-chooser-keep = keep it
rig-chooser-put-up = put up another
rig-chooser-stands = Stands
rig-chooser-job = Job
rig-chooser-put-up-2 = Put it up
rig-chooser-machine-job = the machine of a job, as fitted to its readings
rig-chooser-motor = Motor
rig-chooser-wheel = Wheel
rig-chooser-motor-catalogue = a motor of the catalogue, on a wheel made for it
rig-chooser-take-drive = Take the drive away
rig-chooser-put-drive = Put a drive before this motor
rig-chooser-three-phase = a three-phase motor alone; what stands there begins as built

## rig-drawing

rig-drawing-valve = valve
rig-drawing-damper = damper
rig-drawing-open = { $pump } { $shownOf } open
rig-drawing-built = As built
rig-drawing-air = air { $air }
rig-drawing-air-alone = air
rig-drawing-water = water
rig-drawing-out = { $name } out
rig-drawing-clean = { $name } clean
rig-drawing-branches = branches
rig-drawing-outlets = outlets
rig-drawing-of = { $pump } { $open } of { $OUTLETS }
rig-drawing-holds = holds { $words }
rig-drawing-lift = lift { $words }
rig-drawing-unbalanced = , { $shownOf } unbalanced
rig-drawing-v-hz = { $volts } V, { $lineHertz } Hz{ $off }
rig-drawing-shows = shows{" "}
rig-drawing-set = , set { $words }
rig-drawing-open-2 = open
rig-drawing-left = { $round } % left

## rig-sheet

rig-sheet-rig-being = The rig is being put up.
rig-sheet-point = The point.
rig-sheet-to = { $knob }: { $knobText } to{" "}
rig-sheet-switch-off = Switch it off
rig-sheet-switch = Switch it on
rig-sheet-time-runs = time runs
rig-sheet-how-fast = How fast its time runs
rig-sheet-predict-first = predict first
rig-sheet-once = at once
rig-sheet-when-knob = When a knob is turned
rig-sheet-built = as built
rig-sheet-once-more = Once more
rig-sheet-next = Next: { $next }
rig-sheet-said-rightly = { $right } of { $count } said rightly. Each meter says why it moved.
rig-sheet-each-meter = Each meter says why it moved.
rig-sheet-say-each = Say of each meter: falls, stays or rises.
rig-sheet-said = { $count } of { $meters } said.
rig-sheet-all-said = All said.
rig-sheet-turn = Turn it
rig-sheet-turn-without = Turn it without predicting
rig-sheet-enter = Enter

## torque-picture

torque-picture-rpm = { $meterText } rpm, { $meterText2 } { $unitOf }
torque-picture-torque = torque, { $unitOf }
torque-picture-speed-rpm = speed, rpm
torque-picture-field-rpm = field { $field } rpm
torque-picture-slip = slip { $meterText } %
torque-picture-torque-against = Torque against speed: at { $said }
torque-picture-torque-against-speed = Torque against speed
torque-picture-motor = motor, { $unitOf }
torque-picture-load = load, { $unitOf }
torque-picture-limit = its limit
torque-picture-motor-2 = motor
torque-picture-load-2 = load

## waves-picture

waves-picture-line-volts = line: volts, and the amps that it gives
waves-picture-dc-link = DC link
waves-picture-between-two = between two outputs: pulses, and what they mean
waves-picture-one-winding = one winding: its current, with its ripple
waves-picture-pulses-period = { $round } pulses a period; the widest is on for { $round2 } % of its time; modulation { $modulation }.
waves-picture-motor-asks = {" "}The motor asks for more volts than this link can give: it gets { $round } V. The other meters are those of the whole volts.
waves-picture-violet = ; violet { $unit }, to { $max }
waves-picture-ms = { $unit }{ $over }; { $longest } ms
waves-picture-what-they = what they mean, { $unit }
waves-picture-from-to = { $title }: from { $round } to { $round2 } { $unit }

## bench-desk

bench-desk-capacitor-blower = capacitor blower

## bench-words

bench-words-behind-field = behind the field
bench-words-shaft = at the shaft
bench-words-wattmeter-line = wattmeter, line
bench-words-clamp-line = clamp, line
bench-words-rig-exact = by the rig, exact
bench-words-across = across it
bench-words-clamp-lead = clamp, its lead
bench-words-slow-warm = slow to warm
bench-words-top-bottom = top to bottom
bench-words-one-drive = of one drive
bench-words-worked-out = worked out

## begin

begin-job-needs = A job needs the name of its machine, and nothing else.
begin-at = {" "}at { $site }
begin-job = a job on “{ $machine }”{ $site }
begin-start-job = Start a job
begin-machine-only = machine: only a name
begin-machine-new = Machine of the new job
begin-at-2 = at
begin-site-if = site, if known
begin-site-new = Site of the new job
begin-plate = its plate
begin-one-line = in one line: HP 3/4 V 208-230 A 4.8 …
begin-plate-new = Plate of the new job in one line
begin-start = start
begin-json-so = “{ $file }” is not JSON, so it is no job file. Nothing was taken in.
begin-jobs-taken = { $all } of { $all2 } jobs were taken in.
begin-file = from a file
begin-all-open = all open jobs as one file
begin-job-file = Job file to take in

## board

board-workings = Workings
board-glossary = Glossary
board-catalogue = Catalogue
board-devices = Devices
board-next-visits = Next visits
board-bench = Bench
board-firm = Firm
board-board-modest = Board · Modest Rotor
board-board = Board
board-find = Find
board-anything-typed = anything that was typed
board-nothing-waiting = Nothing is waiting. Start a job with nothing but the name of its machine.
board-job-answers = No job answers to this.
board-show-all = Show all
board-show-more = Show more jobs
board-jobs = { $jobs } of { $total } jobs
board-job = { $jobs ->
        [one] { $jobs } job
       *[other] { $jobs } jobs
    }
board-each-kept = ; each is kept for 30 days
board-stop = { $count }; { $stopped } with a stop{ $kept }
board-inch-pound = inch-pound
board-si = SI
board-job-2 = { $jobs ->
        [one] { $jobs } job; { $units }{ $customer }
       *[other] { $jobs } jobs; { $units }{ $customer }
    }
board-call-log = from Call to Log
board-waits = waits for
board-waiting = Waiting
board-try-again = Try again

## filters

filters-visit-due = visit due
filters-thrown-away = deleted
filters-site = by site
filters-newest-change = newest change first
filters-machine = by machine
filters-filter = Filter
filters-jobs = Which jobs
filters-shelf = Shelf
filters-only = Only
filters-any-station = at any station
filters-at = at { $station }
filters-stands = Stands at
filters-every-site = at every site
filters-site-2 = Site
filters-order = Order

## job-deeds

job-deeds-what-do = What to do with { $machine }
job-deeds-close = close
job-deeds-copy-plan = Copy, to plan it another way: same machine and readings, nothing signed
job-deeds-name-other = Name of the other machine
job-deeds-name-another = name of another machine like it
job-deeds-begin = Begin it
job-deeds-takes-plate = Takes plate, wanted flow, year and candidates along. Readings, findings, the place and whether the duty is protected are asked anew.
job-deeds-job-file = its job file
job-deeds-bring-back = Restore
job-deeds-take-out = Restore from the archive
job-deeds-archive = Archive it
job-deeds-throw-away = Delete; it can be restored for 30 days

## job-line

job-line-it = {" "}It{" "}
job-line-waits = waits for:{" "}
job-line-stands = stands at { $STATIONS }

## board-recent

board-recent-opened-last = opened last
board-recent-opened-last-2 = Opened last

## site-page

site-page-customer = Customer
site-page-contact-whom = Contact: whom to call, and how
site-page-address = Address
site-page-modest-rotor = { $site } · Modest Rotor
site-page-board = Board
site-page-site = Site
site-page-job = { $jobs ->
        [one] { $jobs } job
       *[other] { $jobs } jobs
    }
site-page-waits-hours = waits for hours and a machine
site-page-machines-take = energy per year of its machines
site-page-waits-decision = waits for a decision
site-page-what-chosen = with what was chosen
site-page-none-due = none is due
site-page-next-visit = next visit
site-page-machines-those = Of { $machines } of { $of } machines: those of which both are known. One bag of meters may have read them all, so uncertainties are added as they are.
site-page-keep = Keep

## catalogue

catalogue-motors = Motors
catalogue-modules = Modules
catalogue-drives = Drives
catalogue-regulators = Regulators
catalogue-fans-their = Fans with their motor
catalogue-pumps-their = Pumps with their motor
catalogue-catalogue-modest = Catalogue · Modest Rotor
catalogue-board = Board
catalogue-catalogue = Catalogue
catalogue-add-entry = Add an entry
catalogue-every-entry = Every entry that ships is invented and generic. A job that considers one keeps its own copy.
catalogue-take-out = export it as { $toUpperCase }
catalogue-format-s = the format’s schema
catalogue-three-phase = , three-phase
catalogue-price = no price
catalogue-van = in the van
catalogue-change = change
catalogue-change-2 = change { $product }
catalogue-copy = copy
catalogue-copy-2 = copy { $product }
catalogue-press-again = press again

## entry-form

entry-form-what-you = { $message } What you typed stands above.
entry-form-keep = Keep it
entry-form-cancel = Cancel
entry-form-new-entry = A new entry
entry-form-change = Change { $product }
entry-form-said = not said
entry-form-water-flow = water flow, head
entry-form-airflow-static = airflow, static pressure
entry-form-curve-shaft = Curve: { $pump } and shaft power, one row to a line
entry-form-curve = Curve
entry-form-m-h = 1600 m³/h | 390 Pa | 262 W
entry-form-each-unit = Each with its unit, parted by upright strokes, the smallest flow first.

## import

import-bring-file = bring a file
import-catalogue-file = Catalogue file
import-taken-new = Taken in: { $new } new, { $replaced } replaced.
import-new-replace = { $new } new, { $replaced } that replace what is here, { $unchanged } the same, { $refused } that cannot be taken.
import-columns-left = Columns left out: { $unknown_columns }.
import-row = Row { $row } { $code }
import-entry = entry
import-entries = entries
import-take = Take in { $good } { $good2 }
import-nothing-written = Nothing is written until then.
import-what-file = What the file would change

## add-device

add-device-name = name
add-device-profile = profile
add-device-choose-one = choose one
add-device-file = { $profile }, from a file
add-device-profile-2 = Profile
add-device-address-figures = address, in figures
add-device-port = port
add-device-device = device no.
add-device-add = Add it
add-device-bring-profile = bring a profile file
add-device-profile-file = Profile file
add-device-registers-them = { $profile }: { $registers } registers, { $writable } of them may be written.
add-device-format-docs = Its format is in docs/formats/device-1.schema.json.
add-device-add-device = Add a device
add-device-profile-address = by its profile and its address; it is only read

## devices-page

devices-page-devices-modest = Devices · Modest Rotor
devices-page-board = Board
devices-page-devices = Devices
devices-page-drives-electronic = Drives, electronic motors and meter panels over Modbus TCP, on this machine or a private network. Simulated devices ship with the application and answer from simulated machines. Anything else is only read, until somebody authorises writing to it on a job’s Set-up.
devices-page-asked = not asked
devices-page-simulated = ; simulated
devices-page-writing-authorised = writing authorised until { $toLocaleTimeString } by { $authorised_by }{" "}
devices-page-withdraw = withdraw
devices-page-ask-now = Ask it now
devices-page-stop = Stop it
devices-page-stop-2 = Stop it: { $device }
devices-page-close = close
devices-page-values = values
devices-page-remove = remove
devices-page-remove-2 = Remove { $device }
devices-page-stop-machine = { $message } Stop it at the machine itself.
devices-page-told-stop = Told to stop:{" "}
devices-page-stopped-stop = Not stopped, stop it at the machine itself:{" "}
devices-page-may-written = , may be written
devices-page-let-do = let it do wrong
devices-page-let-do-wrong = Let { $device } do wrong
devices-page-of = { $label } of { $device }

## firm-page

firm-page-firm-modest = The firm · Modest Rotor
firm-page-board = Board
firm-page-firm = The firm
firm-page-name-address = Its name, address and mark stand at the head of every report.
firm-page-name = Name
firm-page-address-how = Address and how to be reached
firm-page-keep = Keep
firm-page-another-mark = another mark
firm-page-bring-mark = bring a mark
firm-page-mark-firm = Mark of the firm
firm-page-take-mark = take the mark away
firm-page-mark-reports = The mark as reports show it

## page-one

page-one-what-found = What was found
page-one-what-proposed = What is proposed
page-one-held-against = Held against { $against }.
page-one-what-rests = What that rests on
page-one-what-promised = What is not promised
page-one-signed-off = Signed off by { $signed }.
page-one-signed-off-2 = Not signed off.
page-one-name-day = { $who }: name, day
page-one-page-one = Page one
page-one-mark = Mark of { $name }
page-one-mark-firm = Mark of the firm
page-one-change-firm = change the firm
page-one-say-whose = say in whose name reports are made
page-one-year = {" "}a year
page-one-energy-year = Energy a year, before and after
page-one-photograph = { $of ->
    [plate] Photograph of the plate
   *[machine] Photograph of machine and place
  }
page-one-before = before
page-one-after = after

## panel-card

panel-card-panel-card = Panel card · Modest Rotor
panel-card-board = Board
panel-card-panel-card-2 = Panel card
panel-card-print = Print
panel-card-isolate-lock = Isolate, lock out, tag and prove dead before any cover is opened.
panel-card-drive-electronic = {" "}A drive or electronic motor stays charged for minutes, may start by itself, and a magnet rotor that windmills makes volts.
panel-card-nothing-set = Nothing is set yet: { $waits }.
panel-card-fitted = Fitted
panel-card-voltage-selector = Voltage selector or tap
panel-card-base = Base
panel-card-to = {" "}to{" "}
panel-card-lowest-highest = Lowest, highest
panel-card-nothing = nothing
panel-card-to-2 = { $index }{ $low } to{" "}
panel-card-skipped = Skipped
panel-card-ramps-overload = Ramps, overload
panel-card-signed-yet = not signed yet
panel-card-set = Set by
panel-card-when-outlets = when outlets are added, the duct is changed, or the log says so
panel-card-look-again = Look again
panel-card-at = {" "}at{" "}
panel-card-sensor = , sensor { $SensorPlaceWords }
panel-card-holds = It holds
panel-card-over-range = {" "}over a range of{" "}
panel-card-gain-integral = Gain, integral time
panel-card-sensor-power = Sensor, power cut
panel-card-step = step
panel-card-set-2 = set to
panel-card-should-move = should move
panel-card-should-take = should take
panel-card-read-then = read then
panel-card-static = static, { $unitOf }
panel-card-after = after

## report-page

report-page-report-modest = Report · Modest Rotor
report-page-board = Board
report-page-decision = Decision
report-page-proof = Proof
report-page-report = Report
report-page-signed = Signed, { $signed }
report-page-signed-off = As signed off by { $signed }.
report-page-later-changes = {" "}Later changes are not in it.{" "}
report-page-pdf = PDF
report-page-spreadsheet = spreadsheet
report-page-json = JSON
report-page-print = Print
report-page-engineer = For the engineer
report-page-recommendation = Recommendation
report-page-machine = The machine
report-page-what-measured = What was measured
report-page-what-found = What was found
report-page-where-machine = Where machine and system meet
report-page-balance = Balance
report-page-cautions = Cautions
report-page-assumed-measured = Assumed, not measured
report-page-approvals = Approvals
report-page-may-fitted = May it be fitted?
report-page-stop = Stop: { $stop }
report-page-energy-per = energy per year
report-page-saves-year = saves a year
report-page-money = in money
report-page-costs-fitted = costs, fitted
report-page-simple-payback = simple payback
report-page-can-here = lead time
report-page-options = The options
report-page-chosen = {" "}(chosen)
report-page-hours-year = hours a year
report-page-read-before = read before
report-page-put-right = repaired, same flow
report-page-read-after = read after
report-page-flow-after = flow after
report-page-proof-2 = Proof, { $option }: { $verdict }
report-page-signed-off-2 = Signed off by { $signed }.
report-page-signed-off-yet = Not signed off yet.

## by-station

by-station-modest-rotor = { $title } · Modest Rotor
by-station-board = Board

## glossary

glossary-glossary = Glossary
glossary-working = its working

## rules

rules-rules = Rules
rules-repair-first = {" "}· repair first

## balance-chart

balance-chart-flow-share = flow as a share of as found
balance-chart-external-static = external static pressure
balance-chart-pressure-share = pressure as a share of as found
balance-chart-balance-curves = Balance: no curves yet
balance-chart-at = { $point }: { $flow } { $unit } at { $pressure } { $unit2 }
balance-chart-balance = Balance. { $told }
balance-chart-curves-yet = No curves yet.

## explained

explained-glossary = glossary

## next-bar

next-bar-go-what = Go to what is next
next-bar-go-there = Go there
next-bar-go = Go on at { $station }
next-bar-enter = Enter
next-bar-next = Next
next-bar-uncertainty = uncertainty { $word }

## photos

photos-photograph-most = A photograph has at most 12 MB; nothing was kept. Take it smaller.
photos-attach-photograph = attach a photograph
photos-jpeg-png = JPEG, PNG or WebP; at most 12 MB and 25 million pixels
photos-taken-away = taken away
photos-show-large = show large
photos-put-back = put back
photos-take-away = take away

## picture

picture-without-table = without the table
picture-table = as a table

## sheet

sheet-all = all of it
sheet-read = read
sheet-lines-under = lines under figures
sheet-worked-out = = worked out: press it for its working

## waiting

waiting-refused = Refused
waiting-kept-browser = Kept in this browser, not yet saved
waiting-put-away = put away

## who-field

who-field-signed = signed by
who-field-your-name = Your name
who-field-your-name-2 = your name

## windings

windings-first-second = first – second
windings-second-third = second – third
windings-third-first = third – first
windings-mark-colour = mark or colour
windings-ground-m = to ground, MΩ

## withdraw

withdraw-withdrawn = withdrawn by { $who }, { $why }{" "}
withdraw-withdraw = withdraw
withdraw-withdraw-2 = Withdraw { $named }
withdraw-why-withdrawn = why it is withdrawn
withdraw-why-withdrawn-2 = Why { $named } is withdrawn
withdraw-withdrawn-2 = withdrawn by
withdraw-withdraw-3 = Withdraw it
withdraw-leave = leave it

## working

working-how-worked = How { $result } was worked out
working-close = close
working-working = Working: { $result }
working-formula = Formula
working-values = Values
working-source = Source
working-comes = ± is 95 %. It comes from { $told }.
working-band = Uncertainty

## api

api-server-does = The server does not answer just now.
api-server-could = The server could not do this.

## deeds

deeds-one-more = one more of { $replaceAll }
deeds-plate-line = the plate from its line
deeds-first-answer = a first answer begun
deeds-finding = a finding { $state }
deeds-sets-csv = sets from a CSV file
deeds-option = option { $code }
deeds-answers-stop = { $name } answers for a stop
deeds-approval-recorded = approval of { $of } recorded
deeds-something-said = something said is withdrawn
deeds-year-logger = the year from a logger
deeds-year = the year of an { $building }

## shared-desk

shared-desk-choice = a choice, { $named }
shared-desk-set = { $label }, set { $set }

## devices

devices-no = no { $which }
devices-none-hand = none: by hand
devices-kept-here = { $chosen } (not kept here)
devices-answer = no answer
devices-asked-yet = not asked yet
devices-answered-ago = answered { $said } ago
devices-answer-now = no answer now; what stands here is { $said } old

## fields

fields-typed = typed { $typed }
fields-said = not said
fields-put-back = put back what was there

## figures

figures-to = { $shown } to{" "}
figures-to-2 = { $low } to { $high }
figures-over-perhaps = over { $low }, perhaps never
figures-up = up to { $high }
figures-min = { $round } min
figures-days = { $days ->
        [one] { $days } day
       *[other] { $days } days
    }

## outbox

outbox-server-does = The server does not answer. What you did is kept in this browser, not yet saved.

## parts

parts-note = Note

## sending

sending-job-changed = The job was changed in another window meanwhile. Nothing was overwritten.
sending-done-server = It was not done: the server was away just then. Do it again.

## stations

stations-call = Call
stations-why-we = Why are we here?
stations-plate = Plate
stations-what-motor = What is this motor?
stations-readings = Readings
stations-what-doing = What is it doing?
stations-findings = Findings
stations-what-wrong = What is wrong, and what proves it?
stations-duty = Duty
stations-how-does = How does it run through the year?
stations-options = Options
stations-what-could = What could replace it?
stations-set-up = Set-up
stations-decision = Decision
stations-why = Which, and why?
stations-how-set = How is it set?
stations-proof = Proof
stations-did-keep = Did it keep its promise?
stations-log = Log
stations-drifting = Is it drifting?

## store


## call-sheet

call-sheet-who-called = Who called, and what it serves
call-sheet-take-job = export this job as a file
call-sheet-machine = The machine
call-sheet-photographs-machine = Photographs of machine and place
call-sheet-what-will = What will be removed

## decision-sheet

decision-sheet-nothing-can = Nothing can be chosen yet: { $waits }.
decision-sheet-saves-year = saves a year
decision-sheet-payback = payback
decision-sheet-what-chosen = What was chosen has been removed from the options. Choose again.
decision-sheet-numbers-those = The numbers are those of Options.
decision-sheet-chosen = Chosen
decision-sheet-stopped = Stopped
decision-sheet-choose = Choose
decision-sheet-stop = Stop “{ $stop }”:{" "}
decision-sheet-answers = {" "}answers for it, { $reason }{" "}
decision-sheet-answer = the answer for { $stop }
decision-sheet-recorded = ; recorded by { $by }
decision-sheet-it = it
decision-sheet-approval = the approval of { $of }
decision-sheet-approvals = Approvals
decision-sheet-record-approval = Record an approval
decision-sheet-approval-2 = Approval, { $label }
decision-sheet-recorded-2 = recorded by
decision-sheet-record = Record it
decision-sheet-what = of what
decision-sheet-who-gave = who gave it
decision-sheet-role = in which role
decision-sheet-numbers-json = numbers as JSON
decision-sheet-view-print = view to print
decision-sheet-revision = Revision { $revision }.{" "}
decision-sheet-whose-name = In whose name it is made
decision-sheet-customer-s = The customer’s report
decision-sheet-page-one = Page one for the customer, the engineer’s and the workings behind.

## duty-sheet

duty-sheet-logger = Logger: { $logged }
duty-sheet-year-steps = The year in steps
duty-sheet-most-steps = At most 24 steps and 8,784 hours; the rest is off.
duty-sheet-add-step = Add a step
duty-sheet-price-machine = Price and machine
duty-sheet-starts-fan = Starts, fan between calls, emissions
duty-sheet-heat-cold = Heat and cold
duty-sheet-machine-today = The machine of today takes{" "}
duty-sheet-year-typed = {" "}in the year as typed, and{" "}
duty-sheet-if-ran = if it ran only with its calls
duty-sheet-if-ran-between = if it ran between calls as well, at its lowest step
duty-sheet-running-always = {" "}{ $always }. Running always filters and mixes the air; it neither heats nor cools it, and can cost more than a motor saves.
duty-sheet-flow-asked = flow asked for
duty-sheet-step-what = Step { $number }, what it does
duty-sheet-example-cooling = for example: cooling
duty-sheet-step-hours = Step { $number }, hours a year
duty-sheet-cycles = from its cycles
duty-sheet-runs-now = as it runs now
duty-sheet-step-tap = Step { $number }, tap
duty-sheet-step = Step { $number }, { $lower }
duty-sheet-less = less
duty-sheet-more = more
duty-sheet-step-2 = { $open } of step { $number }
duty-sheet-remove = remove
duty-sheet-remove-step = Remove step { $number }

## log-part

log-part-logger-s = From a logger’s file
log-part-amps-watts = amps, watts or on and off, over days
log-part-bring-logger = bring the logger’s CSV
log-part-logger-csv = Logger CSV file
log-part-head-then = A head, then a time and a value in each row. Nothing is taken over until you say so.
log-part-rows-over = { $rows } rows over { $days } days, column{" "}
log-part-column-values = Column of the values
log-part-ran = ran{" "}
log-part-time = {" "}of the time
log-part-year = {" "}a year
log-part-starts-hour = {" "}starts an hour
log-part-highest = { $round } % of its highest
log-part-ran-loads = It ran at { $levels } loads: { $levels2 }.
log-part-take-over = Take over as one step
log-part-take-over-steps = Take over as { $levels } steps
log-part-what-logger = What the logger says
log-part-load = { $round } % at { $round2 } % load
log-part-share-running = Share of the running time at each load, of the highest: { $said }
log-part-share-running-time = share of the running time by load, of the highest
log-part-share-running-time-load = Share of the running time by load
log-part-load-highest = load, % of the highest
log-part-time-2 = % of the time

## templates

templates-begin-kind = Begin from a kind of building
templates-every-hour = every hour is marked assumed
templates-h = { $step } { $hours } h at { $round } %
templates-take-over = Take it over
templates-take-over-year = Take it over: the year of { $building }

## year-picture

year-picture-step = a step
year-picture-h-full = { $name } { $round } h at { $round2 } % of full flow{ $power }
year-picture-year = The year: { $told }
year-picture-blocks-flow = blocks: flow asked for, % of full
year-picture-line-watts = line: watts of today
year-picture-step-2 = step { $index }
year-picture-hours = hours
year-picture-year-flow = The year: flow asked for, and watts of today
year-picture-hours-year = hours a year
year-picture-flow-full = flow, % of full
year-picture-w-today = W today

## causes-part

causes-part-being-worked = being worked out
causes-part-readings-stand = The readings stand where this machine’s should.
causes-part-findings-below = {" "}Findings below are told by other evidence.
causes-part-rough-held = Rough: held against plate and design only. On Readings, mark a set from when it was right.
causes-part-what-explains = What explains it
causes-part-against = { $now }, against { $against }
causes-part-likelihood = { $share } % of the likelihood
causes-part-likelihood-2 = { $shareWords } of the likelihood
causes-part-repair-first = Repair first: { $words }.
causes-part-under = under 1 %
causes-part-over = over 99 %
causes-part-about-minutes = { $test }, about { $minutes } minutes,
causes-part-tells-first = {" "}tells the first two apart. { $how }
causes-part-if-if = If { $first }: { $if_first }. If { $second }: { $if_second }.

## finding-row

finding-row-repair-first = Repair first.{" "}
finding-row-close = close
finding-row-open = open
finding-row-rule = Rule { $replaceAll } · { $source } · on { $find }
finding-row-prove = To prove it:
finding-row-proved = Proved:
finding-row-cleared = Cleared:
finding-row-type-result = type the result
finding-row-note-finding = Note to this finding
finding-row-note-before = a note, before you mark what became of it
finding-row-nobody-named = nobody named
finding-row-mark = the mark { $MarkStateWords }

## findings-sheet

findings-sheet-repair-first = Repair first.
findings-sheet-one-finding = One finding is
findings-sheet-findings = { $repair } findings are
findings-sheet-put-right = {" "}{ $repair } repaired before any replacement is considered: what is judged now would be judged wrongly.
findings-sheet-nothing-found = Nothing was found, as far as these readings go.
findings-sheet-findings-2 = Findings
findings-sheet-open-one = open one for its evidence and its proof
findings-sheet-every-rule = every rule

## way-part

way-part-one-thing = One thing after the other, until the fault is found.
way-part-if = If not: { $if_not }
way-part-read-readings = read it on Readings

## add-reading

add-reading-runs = as it runs
add-reading-reading-there = That reading is there already; nothing was added.
add-reading-machine = machine { $machine_id }
add-reading-empty = empty
add-reading-reading = a reading, { $words }
add-reading-when = when
add-reading-when-2 = When
add-reading-now = now
add-reading-setting = on which setting
add-reading-setting-2 = Setting
add-reading-keep-reading = Keep this reading
add-reading-take-over = take over “{ $set }”
add-reading-add-reading = Add a reading

## bring-file

bring-file-bring-csv = bring a CSV of readings
bring-file-csv-readings = CSV of readings over time
bring-file-runs = as it runs
bring-file-nothing-taken = Nothing is taken in until you say so.
bring-file-there-already = , { $already } were there already
bring-file-readings-taken = { $kept } readings taken in{ $already }.
bring-file-to = , { $dayOf } to { $dayOf2 }
bring-file-utc = UTC
bring-file-readings-rows = { $readings } readings of { $rows } rows{ $first }; times in “{ $time_column }”, taken as { $zone }.
bring-file-setting = on which setting
bring-file-setting-file = Setting of the file
bring-file-read = read by
bring-file-read-2 = Read by
bring-file-take-readings = Take in { $readings } readings
bring-file-what-file = What the file says
bring-file-file = From a file
bring-file-taken = not taken
bring-file-what = What is { $heading }
bring-file-unit = Unit of { $heading }

## events

events-services = Services
events-each-lets = each lets its part of the log begin anew
events-due-again = due again { $dayWords }
events-remove = remove
events-remove-2 = Remove { $words }, { $dayWords }
events-what-done = what was done
events-what-done-2 = What was done
events-day = day
events-note = note
events-due-again-2 = due again in
events-today = today
events-months = 6 months
events-note-2 = Note it
events-note-service = Note a service

## log-sheet

log-sheet-since-about = Since about { $dayWords }, on { $setting }, read by { $source }.
log-sheet-latest = { $monthWords } at the latest
log-sheet-perhaps-never = perhaps never
log-sheet-if-goes = If it goes on so it leaves its tolerance about { $monthWords }; from { $monthWords2 } at the earliest, { $latest }.
log-sheet-next-visit = Next visit { $dayWords }:
log-sheet-all-visits = all visits
log-sheet-would-make = would make{" "}
log-sheet-what-explains = What explains it
log-sheet-each-cause = each cause put into the solved machine; shares are of the likelihood
log-sheet-dots-readings = Dots: readings, thinned. Line: robust trend since the last service of air or motor. Dotted upright: a service.
log-sheet-one-setting = one setting
log-sheet-readings-over = Readings over time, on { $setting }
log-sheet-readings-green = { $readings } readings; green is the healthy state with its uncertainty
log-sheet-over = over 99 %

## series-picture

series-picture-over-time = { $series } over time: no readings
series-picture-healthy = healthy { $told }
series-picture-over-time-thinned = { $series } over time, { $unitOf }; thinned as drawn

## watch-part

watch-part-what-says = what { $commander } says
watch-part-every-s = {" "}every { $every_s } s, on { $commander }.{" "}
watch-part-nothing-kept = { $trouble } Nothing was kept for it.
watch-part-read-longer = Read it no longer
watch-part-meter-panel = From a meter panel, at an interval
watch-part-every-s-2 = { $panel }, every { $every_s } s
watch-part-runs = as it runs
watch-part-panel = panel
watch-part-choose-one = choose one
watch-part-panel-read = Panel to read
watch-part-setting-told = the setting is told by
watch-part-nobody-always = nobody: always { $setting }
watch-part-who-tells = Who tells the setting
watch-part-every-s-3 = every, s
watch-part-seconds-between = Seconds between readings
watch-part-setting = setting
watch-part-setting-panel = Setting of the panel
watch-part-read = Read it

## add-option

add-option-kind = Which kind?
add-option-product = With which product?
add-option-none-yet = none yet: a typical one of the plate’s rating
add-option-whole-catalogue = the whole catalogue
add-option-add-option = Add an option

## beside-view

beside-view-and = {" "}and{" "}
beside-view-side-side = {" "}side by side
beside-view-tie = { $letter } and { $letter2 } tie.
beside-view-saves = { $letter } saves{" "}
beside-view-more = {" "}more.
beside-view-being-worked = being worked out
beside-view-chosen = chosen
beside-view-less = {" "}less{" "}
beside-view-shared-errors = shared errors cancel
beside-view-each-less = each less { $letter } in italics
beside-view-may-fitted = May it be fitted?
beside-view-pays-back = Pays back
beside-view-limits = Limits
beside-view-wears = Wears
beside-view-energy-money = Energy and money are of all machines; watts and flow of one. Present value counts each over its own life. A difference in plain grey cannot be told from nought.
beside-view-energy-per = Energy per year
beside-view-saves-year = Saves a year
beside-view-money-year = In money a year
beside-view-present-value = Present value
beside-view-power-factor = Power factor
beside-view-full-flow = full flow
beside-view-less-2 = less { $against }
beside-view-known = Not known:{" "}

## checks

checks-may-fitted = May it be fitted?
checks-nothing-asked = Nothing is asked of it here.
checks-only-what = only what asks for something
checks-more-fit = { $fits } more fit
checks-all-fit = all { $fits } fit
checks-open-them = { $asks }: open them
checks-checks = Checks of { $letter }
checks-answered = answered for
checks-answer = answer it
checks-answers = { $who } answers for it: { $reason }{" "}
checks-answer-stop = the answer for this stop
checks-nobody-can = Nobody can waive this.
checks-who-answers = Who answers for it
checks-who-answers-2 = who answers for it
checks-why = Why
checks-why-small = why
checks-answer-2 = Answer for it

## loaded-part

loaded-part-what-happens = What happens when the circuit tightens?
loaded-part-what-happens-when = What happens when the filter loads?
loaded-part-first-step = first step, every setting left as it was
loaded-part-circuit-against = Circuit, against as found
loaded-part-system-against = System, against as found
loaded-part-being-worked = being worked out
loaded-part-none-these = None of these options can be drawn.
loaded-part-flow = flow, { $unitOf }
loaded-part-input-power = input power, W
loaded-part-across-system = Across: the system’s flow-dependent part, as found 100 %. Circulators, staged fans, and options on a lower tap are not drawn. A line that bends is a motor at the limit of its torque, power or speed.
loaded-part-option = option
loaded-part-holds = holds
loaded-part-at = at { $asked } %, { $unitOf }
loaded-part-static = at that static, { $unitOf }
loaded-part-steady-point = no steady point
loaded-part-limit = at its limit
loaded-part-from-to = { $letter } from { $said } to { $said2 }
loaded-part-system-tightens = { $title } as the system tightens: { $lines }

## opened

opened-withheld-stop = Withheld: the stop stands first.
opened-what-moves = What moves the saving?
opened-one-input = one input at either end of its own uncertainty, 95 %
opened-limits = Limits
opened-wears-lead = Wears: { $wears }. Lead time:{" "}
opened-saves-year = saves a year
opened-simple-payback = simple payback
opened-break-even = break-even
opened-present-value = present value
opened-run-other = run the other way between calls
opened-energy-costs = its energy costs a year
opened-starts = of it, the starts
opened-cube-law = the cube law alone promises
opened-nominal-efficiency = at nominal efficiency
opened-emissions-saved = emissions saved a year
opened-heat-made = heat to be made up
opened-cooling-saved = cooling saved as well
opened-saved-heat = saved, heat and cold counted
opened-running-h = running h
opened-money = Money
opened-heat-given = Heat given to the air or the water is not in the saving; Duty can count it.
opened-besides-saving = Besides the saving
opened-take-out = remove { $letter }
opened-own = Its own
opened-what-kind = what its kind asks, name, life, wear, days; remove it

## option-list

option-list-cost-fitted = cost fitted
option-list-saves = Saves
option-list-year = , { $unitOf } a year{" "}
option-list-against = against { $against }
option-list-saves-2 = saves
option-list-money = money
option-list-year-2 = { $currency } a year
option-list-fitted = fitted, { $unitOf }
option-list-payback-years = payback, years
option-list-being-fetched = being fetched
option-list-steps-one = {" "}Steps are of one machine; years and money are of all { $machines }.
option-list-costs-paybacks = {" "}Costs and paybacks are of what is more than the baseline’s.
option-list-order = in the order of
option-list-order-candidates = Order of the candidates
option-list-candidates = Candidates
option-list-lay-side = Lay { $letter }, { $one }, side by side
option-list-chosen = chosen;{" "}
option-list-fit-known = fit not known: { $asks }
option-list-worked-out = not worked out
option-list-baseline = baseline
option-list-year-3 = {" "}{ $currency } a year
option-list-fitted-2 = fitted{" "}
option-list-back = back in{" "}
option-list-years = {" "}years

## options-sheet

options-sheet-back-all = Back to all
options-sheet-nothing-compare = nothing to compare yet
options-sheet-options-stand = { $capital }. The options stand here as soon as the machine of today can be worked out.
options-sheet-close = Close
options-sheet-add-option = Add an option

## repair

repair-saves-itself = { $chosen }: saves by itself{" "}
repair-what-known = what is not known yet
repair-nothing-machine = nothing is; A is the machine as found
repair-flow-changes = flow changes by{" "}
repair-saves-itself-2 = saves by itself{" "}
repair-year = {" "}a year
repair-costs = costs{" "}
repair-what-repair = What the repair does by itself
repair-put-right = Repair first

## sensitivities-part

sensitivities-part-all-other = All other inputs together: { $percent } of the uncertainty.
sensitivities-part-what-moves = What moves the saving of { $letter }

## settings

settings-place-goes = The place it goes to
settings-answered-asked = { $count } of { $FITTING } answered; asked once for all options
settings-how-years = How the years are reckoned
settings-discount-rising = discount, rising prices

## steps-table

steps-table-shaft-power = shaft power
steps-table-line-amps = line amps
steps-table-power-factor = power factor
steps-table-motor-control = motor and control
steps-table-wire-air = wire to air
steps-table-duty-steps = Duty steps
steps-table-hours = hours
steps-table-moves = moves{ $flowUnit }
steps-table-saves = saves, { $unitOf }
steps-table-year = year, { $unitOf }
steps-table-duty-steps-2 = Duty steps of { $letter }
steps-table-year-counts = The year counts starts and what it takes while it stands as well; grey is what cannot be told from { $letter }’s.
steps-table-fewer = fewer
steps-table-speed-torque = speed, torque, amps, power factor, efficiencies
steps-table-input-power = input power
steps-table-full-flow = full flow
steps-table-setting = setting:{" "}
steps-table-falls-short = falls short by{" "}

## what-if

what-if-energy-price = Energy price
what-if-per-kwh = { $value } { $currency } per kWh
what-if-longest-step = longest step
what-if-hours = Hours, { $longest }
what-if-drag-every = Drag, and every row follows; what you let go of is kept, and can be undone.
what-if-what-if = What if?
what-if-price-now = the price, now { $price } { $currency } per kWh, or the hours were others
what-if-price-hours = the price or the hours were others

## picked


## identification

identification-speed = From a speed
identification-hands-sleeves = Hands, sleeves and cords clear of the wheel.
identification-three-windings = From three windings
identification-isolate-lock = Isolate, lock out, prove dead. Discharge the capacitor through a resistor; every lead off.
identification-what-motor = From what is on the motor
identification-power-off = Power off: its wheel can start by itself.
identification-or = Or: { $alternatives }.
identification-put-kind = Put this kind on the plate
identification-good-sure = as good as sure
identification-very-likely = very likely
identification-likely = likely
identification-possible = possible

## leads

leads-colour-found = colour as found
leads-common = Ω to common
leads-lead-colour = Lead { $index }, colour
leads-lead-function = Lead { $index }, function
leads-lead-ohms = Lead { $index }, ohms to common
leads-lead-volts = Lead { $index }, volts
leads-colour = colour
leads-remove = remove
leads-add-lead = Add a lead
leads-call-energised = Which call energised which tap, as it was wired
leads-tap-lead = tap or lead
leads-command-volts = command volts
leads-call = Call { $index }
leads-call-2 = which call?
leads-call-tap = Call { $index }, tap
leads-colour-number = colour or number
leads-call-command = Call { $index }, command volts
leads-add-call = Add a call

## plate-line

plate-line-what-line = What the line was taken for
plate-line-fill-fields = Fill the fields below
plate-line-one-undo = { $adds }; one undo takes it back.
plate-line-typed-one = Typed as one line
plate-line-numbers-site = Numbers at this site are written
plate-line-recognised-stays = not recognised: stays in the line

## plate-sheet

plate-sheet-phases-one = one
plate-sheet-phases-three = three
plate-sheet-run-capacitor = run capacitor
plate-sheet-start-switch = start switch
plate-sheet-shading-rings = shading rings
plate-sheet-two-voltages = Two voltages on the plate
plate-sheet-wired = wired for { $wired_for }
plate-sheet-plate-such = for a plate such as 230/460 V
plate-sheet-capacitors-own = The capacitors’ own labels
plate-sheet-two-speeds = Two speeds, two shaft ends, an outer rotor
plate-sheet-entries = { $filled } entries
plate-sheet-motor-unlike = for a motor unlike the ordinary one
plate-sheet-all-else = All else that is printed
plate-sheet-service-factor = service factor, code letter, frame, enclosure, rotation
plate-sheet-photograph-plate = Photograph of the plate
plate-sheet-what-means = What it means
plate-sheet-what-else = What else stands on it, explained
plate-sheet-what-such = What such a motor should show
plate-sheet-leads-calls = Leads and calls, as found
plate-sheet-leads-calls-2 = { $leads } leads, { $calls } calls
plate-sheet-kept-putting = kept for putting it back, and for set-up

## logger-file

logger-file-logger-s = a logger’s energy after
logger-file-bring-logger = bring the logger’s CSV
logger-file-logger-csv = Logger CSV after
logger-file-rows-over = { $value_column }: { $rows } rows over { $days } days
logger-file-watts-so = ; no watts, so no energy
logger-file-take-energy = Take this energy over
logger-file-what-logger = What the logger says

## proof-sheet

proof-sheet-each-duty = At each duty step
proof-sheet-watts-before = Watts before are those of the repaired machine, at the flow reached.
proof-sheet-what-else = What else changed
proof-sheet-said = said
proof-sheet-filter-damper = filter, damper, season, meters
proof-sheet-comfort-apart = Comfort, apart from energy
proof-sheet-cycles-hour = cycles an hour, humidity
proof-sheet-what-logger = what the logger said
proof-sheet-logger-s = A logger’s energy after
proof-sheet-held-against = held against the year of the steps
proof-sheet-read-after = {" "}was read { $asLocal }, after Set-up was last signed. On which machine?
proof-sheet-set-up = As set up: after
proof-sheet-found-before = As found: before
proof-sheet-set-read = a set read from the panel
proof-sheet-set-after = No set after yet.
proof-sheet-set-after-2 = { $after ->
        [one] { $after } set after: { $after3 }.
       *[other] { $after } sets after: { $after3 }.
    }
proof-sheet-all-sets = all sets
proof-sheet-add-set = Add the set after
proof-sheet-what = what it is
proof-sheet-name-set = Name of the set
proof-sheet-full-after = full, after
proof-sheet-read-set = Read a set from the panel
proof-sheet-same = same { $step }
proof-sheet-after = after { $step }
proof-sheet-saved = saved { $step }
proof-sheet-step = step
proof-sheet-flow = flow{" "}
proof-sheet-put-right = repaired, at that flow
proof-sheet-after-2 = after
proof-sheet-none = none
proof-sheet-promised = promised
proof-sheet-saved-2 = saved
proof-sheet-set = set { $side }
proof-sheet-nearest = nearest: { $step }
proof-sheet-said-2 = not said
proof-sheet-set-2 = Set { $side }, { $step }
proof-sheet-sign-off = the sign-off
proof-sheet-revision = revision { $revision }
proof-sheet-read-what = read what was signed
proof-sheet-job-changed = The job was changed since: this is revision { $revision }, not signed.
proof-sheet-role = in which role
proof-sheet-role-2 = Role
proof-sheet-sign-off-2 = Sign off
proof-sheet-stop-set = A stop in Set-up is not cleared; it is lifted there.
proof-sheet-freezes-job = freezes job, numbers and program version

## chart-picture

chart-picture-from-at = { $name } from { $said } at { $said2 } to { $said3 } at { $said4 }
chart-picture-airflow = airflow, { $unitOf }
chart-picture-line-amps = line amps
chart-picture-external-static = external static

## charts

charts-cfm = cfm 208 230{"\u000A"}1600 3.9 3.6{"\u000A"}1800 4.5 4.2
charts-amps-chart = Amps chart
charts-w-g = in. w.g. High Med Low{"\u000A"}0.2 1400 1200 1000{"\u000A"}0.5 1250 1080 900
charts-blower-table = Blower table

## csv

csv-take-sets = export the sets as CSV
csv-bring-csv = bring a CSV file
csv-csv-file = CSV file
csv-csv-text = CSV text
csv-paste-rows = or paste rows from a spreadsheet, with their headings
csv-leave-out = leave it out
csv-stands = { $heading } stands for
csv-unit = { $heading }, unit
csv-recognised-say = Not recognised: { $unknown }. Say what they stand for, or leave them out.
csv-line = Line { $line }
csv-cannot-taken = {" "}cannot be taken: { $reason }
csv-set = set
csv-sets = sets
csv-take = Take in { $good } { $good2 }
csv-nothing-taken = Nothing is taken in until then; one undo takes it back.

## effects

effects-show = Show
effects-being-worked = being worked out
effects-if-one = If one thing changed
effects-way-each = Which way each reading would go, in % of what it shows now; ± is 95 %.
effects-each-reading = each reading’s change in %, ± 95 %
effects-either-way = either way

## flow-picture

flow-picture-together = Together
flow-picture-other-ways = Other methods

## load-picture

load-picture-taken-here = Taken here
load-picture-shaft-power = Shaft power
load-picture-rated = % of rated

## meters-part

meters-part-reading-off = ± of the reading, off each data sheet; empty takes what sound ones promise.
meters-part-use-my = Use my meters
meters-part-keep-these = Keep these as mine
meters-part-for = for { $who }
meters-part-say-who = say who you are at the top of the page first
meters-part-kept-any = Kept; any job can take them over.

## method-line

method-line-uncertainty = { $label }, with its uncertainty
method-line-taken = taken
method-line-agrees = agrees
method-line-disagrees = disagrees
method-line-doubted = doubted

## next-readings

next-readings-narrows = {" "}narrows the { $narrows }:{" "}
next-readings-now-then = {" "}now, then{" "}
next-readings-go-there = go there

## one-reading

one-reading-readings = Readings
one-reading-set = Set { $number }{ $set }
one-reading-taken = { $labelOf } was not taken.
one-reading-see-why = see why
one-reading-cannot-read = Cannot be read:
one-reading-can = it can
one-reading-why = Why not?
one-reading-cannot-read-2 = Cannot read
one-reading-next = Next: { $labelOf }
one-reading-done = Done
one-reading-set-2 = Set { $number }: { $labelOf }
one-reading-of = { $phase }, { $done } of { $own }
one-reading-less = less
one-reading-how = how
one-reading-set-3 = set { $number }{ $before }
one-reading-plate = plate
one-reading-meter = { $writeBand } by its meter
one-reading-set-more = {" "}from set { $from }, more than the meters can be off
one-reading-change-set = no change from set { $from } that the meters can tell

## readings-sheet

readings-sheet-one-reading = One reading at a time: { $setName }
readings-sheet-set-yet = No set yet. A set is what the meters say at one speed tap and in one condition of the duct; volts and amps are enough to begin.
readings-sheet-share-rated = Share of rated power; bars hold 95 %. The methods share meters and the motor’s plate, so they are never averaged. Taken is the motor that agrees best with all of it; where none could be fitted, the best single method.
readings-sheet-load-every = Load, every method: { $setName }
readings-sheet-waits = waits
readings-sheet-bars-hold = Bars hold 95 %; methods that contradict are never averaged.
readings-sheet-flow-every = Flow, every method: { $setName }
readings-sheet-worth-reading = Worth reading next
readings-sheet-wanted = Wanted:{" "}
readings-sheet-flow-wanted = Flow that is wanted, and limits
readings-sheet-charts-panel = Charts in the panel
readings-sheet-amps-volts = amps and volts for airflow; the blower’s own table
readings-sheet-sets-out = Sets in and out as CSV
readings-sheet-spreadsheet-logger = for a spreadsheet or a logger
readings-sheet-my-meters = My meters
readings-sheet-said-once = said once, kept for you
readings-sheet-add-set = Add a set
readings-sheet-set = Which set
readings-sheet-tons-heat = from tons, heat, air changes, or typed

## sets-table

sets-table-set = Set
sets-table-slip-now = Slip now
sets-table-flow-power = Flow by power
sets-table-sets-readings = Sets of readings
sets-table-read = { $out } not read
sets-table-entries = { $count ->
        [one] { $count } entry
       *[other] { $count } entries
    }
sets-table-set-what = Set { $number }, what was it
sets-table-what = what was it?
sets-table-set-speed = Set { $number }, speed tap
sets-table-speed-tap = which speed tap?
sets-table-after = after
sets-table-copy = copy
sets-table-copy-set = Copy set { $number }
sets-table-remove = remove
sets-table-remove-set = Remove set { $number }
sets-table-set-2 = { $factsOf }, set { $number }
sets-table-read-2 = not read: { $UnreadReasonWords }
sets-table-total = {" "}total
sets-table-change = Change
sets-table-from-to = from { $to } to { $to2 }
sets-table-waits = waits
sets-table-within = within ±

## rows

rows-supply-volts = Supply
rows-speed = Speed
rows-line-amps = Line amps
rows-input-power = Input power
rows-static-pressure = Static pressure
rows-pump-differential = Pump differential
rows-water-flow = Water flow
rows-state-duct = State of duct and set
rows-before-after = before or after, duct, signal, hertz, when and who
rows-before-after-2 = Before or after?
rows-right-then = Right then?
rows-running = Running for
rows-whom = By whom
rows-where-what = Where and with what it was read
rows-point-meter = point and meter decide which readings can be worked with
rows-power-factor = Power factor
rows-fan-speed = Fan speed
rows-capacitor-auxiliary = Capacitor and auxiliary winding
rows-amps-volts = amps and volts while running; µF out of circuit
rows-auxiliary-winding = Auxiliary winding
rows-across-capacitor = Across capacitor
rows-capacitor-out = Capacitor, out
rows-three-lines = Three lines, ground and command
rows-line-line = line to line, each line’s amps, high leg, 24 V
rows-volts = Volts 1-2
rows-volts-2 = Volts 2-3
rows-volts-3 = Volts 3-1
rows-amps = Amps 1
rows-amps-2 = Amps 2
rows-amps-3 = Amps 3
rows-leg-ground = Leg to ground
rows-command-volts = Command volts
rows-total-external = Total external static, filter and coil
rows-what-lies = and what lies between the taps
rows-total-external-static = Total external static
rows-between-taps = Between taps
rows-across-filter = Across filter
rows-across-coil = Across coil
rows-airflow = Airflow by
rows-suction-discharge = Suction and discharge
rows-one-gauge = one gauge, one height
rows-temperatures-heat = Temperatures and heat
rows-flow-temperature = for flow by temperature rise; shell and air at the motor
rows-fuel-burned = Fuel burned
rows-efficiency = Its efficiency
rows-heater-volts = Heater volts
rows-heater-amps = Heater amps
rows-coil-wet = Coil wet?
rows-sees-heater = Sees heater?
rows-motor-shell = Motor shell
rows-air-motor = Air at motor

## commands

commands-duty-step = No duty step yet: say on Duty how it runs.
commands-step = step
commands-called = called by { $call }
commands-wanted = wanted{" "}
commands-expected = expected{" "}
commands-would-give = { $words } would give{" "}
commands-write-device = Write it to the device
commands-read-panel = Read the panel
commands-type-reading = Type a reading
commands-duty-step-2 = Duty step { $command }
commands-water-flow = water flow
commands-total-external = total external static
commands-temperature-rise = temperature rise
commands-line-amps = line amps
commands-torque-tap = Torque tap, reading { $number }
commands-plate-damper = Plate or damper, reading { $number }
commands-setting-reading = Setting, reading { $number }
commands-full = % of full
commands-read-reading = Read by, reading { $number }
commands-read-reading-2 = Read, reading { $number }
commands-remove = remove
commands-remove-reading = Remove reading { $number }

## drive-part

drive-part-control = Control: { $ControlModeWords }.
drive-part-base-frequency = Base frequency and volts
drive-part-type-setting = Type a setting over
drive-part-where-manual = where the manual or the plate says more
drive-part-write-settings = Write the settings

## loop-parts

loop-parts-set-point = Set point, where none is typed
loop-parts-while-holds = While it holds its set point
loop-parts-every-outlet = ; with every outlet shut still{" "}
loop-parts-air-water = air or water
loop-parts-runs = runs at
loop-parts-nothing-held = with nothing held
loop-parts-step-drive = Step the drive and read the answer
loop-parts-step-read = The step as read
loop-parts-hand-value = in hand, the value standing still: move the command by a tenth, and time what follows
loop-parts-from = From{" "}
loop-parts-to = {" "}to{" "}
loop-parts-which-is = , which is its 100 %.
loop-parts-close-watch = Close it and watch
loop-parts-put-hand = Put it in hand
loop-parts-gains = gains { $index }
loop-parts-remove = remove
loop-parts-remove-gains = Remove gains { $index }
loop-parts-gain = {" "}Gain{" "}
loop-parts-integral-time = , integral time{" "}
loop-parts-try-these = Try these gains
loop-parts-add-other = Add other gains
loop-parts-take-first = Take the first gains

## loop-run

loop-run-end-here = End it here
loop-run-value = value
loop-run-waits-until = Waits until the value stands, then steps.
loop-run-stepped-follows = Stepped: follows it until it stands again.
loop-run-set-point = Its set point is a tenth of the range away; soon it is moved back.
loop-run-moved-back = Moved back: watching.
loop-run-from-to = from { $said } to { $said2 }
loop-run-value-sensor = The value at the sensor over { $round } s: { $ends }, between { $said } and { $said2 }
loop-run-dotted-set = ; dotted: set point
loop-run-sensor = { $unitOf } at the sensor{ $set }
loop-run-hz-dashed = Hz, dashed
loop-run-value-sensor-over = The value at the sensor over time

## setup-sheet

setup-sheet-steps-signed = : { $done } of { $steps } steps signed
setup-sheet-panel-card = panel card to print
setup-sheet-drive = Drive
setup-sheet-electronic-motor = Electronic motor
setup-sheet-traits-decide = its traits decide bands, limits and volts
setup-sheet-meter-panel = Meter panel
setup-sheet-reads-place = reads in place of typing
setup-sheet-read-written = Read and written here
setup-sheet-all-devices = all devices
setup-sheet-open = { $left } of { $own } open
setup-sheet-all-signed = all signed
setup-sheet-cautions-here = Cautions here are not the whole of safe work; local code, the maker’s papers and licensed practice come first.

## step-line

step-line-sign-anew = sign anew
step-line-after = after { $after }
step-line-open = open
step-line-needed = not needed,{" "}
step-line-what-found = what was found
step-line-found-step = Found, step { $number }
step-line-done-sign = Done: sign
step-line-needed-here = Not needed here
step-line-needed-2 = not needed
step-line-stop-here = Stop here
step-line-s-signature = { $who }’s signature of step { $number }

## sweep-part

sweep-part-hz-steps = { $frequencies } to { $frequencies2 } Hz in steps of{" "}
sweep-part-each-held = , each held{" "}
sweep-part-up-down = , up and down
sweep-part-step-through = step it through the drive
sweep-part-step-hand = step it by hand
sweep-part-step-hold = From, to, step, hold
sweep-part-level-loud = and from which level on it is loud, where a panel hears
sweep-part-loud-mark = a loud mark
sweep-part-loud = LOUD{" "}
sweep-part-sweep-again = Sweep again through the drive
sweep-part-sweep-through = Sweep through the drive
sweep-part-paused = ; paused
sweep-part-going = going { $going }; { $done } of { $of }{ $state }
sweep-part-pause = Pause
sweep-part-go-machine = Go on: the machine may start
sweep-part-stop-put = Stop, and put back
sweep-part-swept-up = Swept up and down.
sweep-part-sweep-again-2 = sweep again
sweep-part-hz = { $hertz } Hz
sweep-part-going-set = going { $going }; { $place } of { $way }. Set this at the drive, hold it, listen.
sweep-part-back = back
sweep-part-next = next
sweep-part-hand = by hand
sweep-part-remove = remove
sweep-part-remove-marks = Remove the marks at { $typed }
sweep-part-write-bands = Write bands and limits

## sweep-picture

sweep-picture-hz = { $low } to { $high } Hz
sweep-picture-hz-drive = Hz at the drive’s output
sweep-picture-db-line = dB(A); line up, dashed down, dotted: loud from here
sweep-picture-sound-level = Sound level over frequency
sweep-picture-marked-loud = marked loud

## write-panel

write-panel-write-these = Write these now
write-panel-stop-machine = Stop the machine
write-panel-stop-machine-itself = { $message } Stop it at the machine itself.
write-panel-told-stop = {" "}told to stop, and read back
write-panel-stopped-stop = {" "}not stopped: stop it at the machine itself
write-panel-hold = is to hold
write-panel-holds-already = {" "}holds it already
write-panel-machine-starts = { $label }: the machine starts
write-panel-cancel = Cancel
write-panel-holds-all = It holds all of this already.
write-panel-what-would = What would be written to { $device }
write-panel-writing-authorised = Writing is authorised for this job until{" "}
write-panel-simulated-device = {" "}is no simulated device. It is written only after somebody authorises writing to it for this job.
write-panel-i-see = I see the machine, nobody is near it, and I have read the registers above.
write-panel-authorise-writing = Authorise writing
write-panel-for = for{" "}
write-panel-minutes = Minutes
write-panel-minutes-2 = {" "}minutes
write-panel-written-read = Written and read back: all agree.
write-panel-do-agree = { $missed } of { $outcomes } do not agree.{" "}
write-panel-close = close
write-panel-what-read = what was read back
write-panel-read-back = read back

## acts

acts-step-signed = a step signed: { $state }
acts-setting-tried = a setting tried
acts-gains-tried = gains to be tried

## candidates

candidates-what-each = What each saves
candidates-year = , { $unitOf } a year{" "}
candidates-against = against { $base }
candidates-saves = saves
candidates-fitted = fitted, { $unitOf }
candidates-payback-years = payback, years
candidates-limits = limits
candidates-more-options = { $more } more in Options
candidates-side-side = side by side in Options
candidates-chosen = {" "}chosen
candidates-fit-known = fit not known: { $asks }
candidates-baseline = baseline
candidates-worked-out = not worked out
candidates-back = back in{" "}
candidates-years = {" "}years

## first-row

first-row-one-row = One row of readings for a first answer
first-row-plate-volts = Plate, volts and amps, hours and price: candidates stand at once, with honest uncertainties.
first-row-row-first = The row for a first answer
first-row-each-value = each value is the job’s own
first-row-type-what = type what is at hand; the rest may stay empty
first-row-hours-kind = Hours by kind of building
first-row-building = which building?

## short-sheet

short-sheet-short = In short
short-sheet-waits-candidates = waits for candidates on Options
short-sheet-what-could = What could replace it { $waits }.
short-sheet-stands = stands at{" "}
short-sheet-now = Now
short-sheet-more = and { $others } more
short-sheet-what-proves = what proves it

## visits

visits-next-visits = Next visits · Modest Rotor
visits-board = Board
visits-next-visits-2 = Next visits
visits-take-them = Take them along as a calendar file
visits-machine-log = No machine has a log yet. It begins on a job’s station Log.
visits-what-drifts = What drifts first, then what is due. A visit without a date is not in the calendar file.
visits-readings = { $readings } readings
visits-date = no date

## one-working

one-working-all-workings = all workings
one-working-waits-values = waits for the values above
one-working-choose = choose

## workings

workings-workings-modest = Workings · Modest Rotor
workings-board = Board
workings-workings = Workings
workings-find = Find
workings-slip-torque = slip, torque, payback
workings-working-answers = No working answers to “{ $sought }”.
workings-all-workings = All workings
workings-there-working = There is no working called “{ $name }”.{" "}
workings-pick-one = { $name }Pick one on the left. Each takes typed values with their units, and gives the result with its formula, its uncertainty and its source; nothing is kept.

## balance-pane

balance-pane-flow = flow
balance-pane-speed = speed
balance-pane-slip = slip
balance-pane-amps = amps

## top-line

top-line-l-s = L/s, Pa, W

## meters

meters-falls = falls
meters-stays = stays
meters-rises = rises

## pictures

pictures-balance = Balance
pictures-waves = Waves

## bench-words

bench-words-motor = Motor
bench-words-wheel = Wheel
bench-words-duct = Duct
bench-words-pipe = Pipe
bench-words-supply = Supply
bench-words-capacitor = Capacitor
bench-words-command = Command
bench-words-loop = Loop
bench-words-year = Year

## filters

filters-all = all
filters-stopped = stopped
filters-drifting = drifting
filters-open = open
filters-archived = archived

## report-page

report-page-moves = moves
report-page-draws = draws
report-page-promised = promised
report-page-saved = saved

## deeds

deeds-undo = undo
deeds-redo = redo

## fields


## language


## parts

parts-caution = Caution
parts-stop = Stop

## decision-sheet

decision-sheet-which = Which?

## way-part

way-part-good = good
way-part-fault = fault
way-part-now = now
way-part-later = later

## beside-view

beside-view-moves = moves
beside-view-takes = takes
beside-view-fitted = Fitted

## opened

opened-price = price
opened-labour = labour
opened-rebate = rebate

## option-list

option-list-saving = saving
option-list-payback = payback
option-list-letter = letter

## steps-table

steps-table-speed = speed
steps-table-torque = torque
steps-table-pressure = pressure
steps-table-flow = flow

## plate-sheet

plate-sheet-three-phase = three-phase
plate-sheet-electronic = electronic
plate-sheet-plate-none = No plate, or none that can be read

## proof-sheet

proof-sheet-sign-off-3 = Sign-off

## effects

effects-down = down
effects-still = still
effects-up = up

## rows

rows-supply = supply
rows-return = return

## commands

commands-airflow = airflow

## figures and codes

panel-card-revision = revision { $revision }
catalogue-guaranteed = { $efficiency } guaranteed
catalogue-curve = curve of { $count } points
balance-chart-head = head
page-one-customer = for the customer
page-one-firm = for the firm
bench-words-tachometer = tachometer
bench-words-true = true
bench-words-damped = damped
bench-words-mean = mean
bench-words-fundamental = fundamental
desk-removed = { $item } removed
report-page-made-for = for { $who }
series-picture-told = { $title } over time: { $count } readings, { $first } on { $begun }, { $last } on { $ended }
series-picture-healthy-at = healthy { $value }
series-picture-trend-told = trend from { $from } to { $to }
series-picture-has-moved = it has moved
add-option-price-told = price { $price }
opened-remove-option-letter = remove option { $letter }
proof-sheet-set-number = set { $number }
proof-sheet-a-set-told = a set
sweep-picture-loudest-at = loudest { $level } dB(A) at { $hertz } Hz
sweep-part-mark-going = { $going ->
        [up] going up
       *[down] going down
    }
sweep-part-is-loud = loud
catalogue-frame-told = frame { $frame }
rig-drawing-is-told = told { $value }
rig-drawing-tap-high = tap high
rig-drawing-tap-low = tap low
rig-drawing-strainer = strainer
rig-drawing-filter = filter
rig-drawing-drive = drive
pictures-now = now
panel-card-set-up = Set-up
record-sheet-none-named = none named
events-none-noted = none noted yet
beside-view-none-known = none that are known here
watch-part-none = none
unit-days = days
unit-years = years
unit-per-kwh = per kWh
unit-litres-a-second-per-kilowatt = L/s per kW
keys-panel-slash-or = / or Ctrl K
hunt-sheet-and = {" "}and{" "}
devices-page-noise = noise
devices-page-answers-dropped = answers dropped
devices-page-drift = drift
panel-card-without-sensor = without its sensor it { $does }
panel-card-after-cut = after a power cut it { $does }
report-page-nothing = nothing
duty-sheet-called-by = called by { $call }
log-part-none = none
year-picture-head-step = step
series-picture-day = day
add-option-in-van = in the van
csv-heading = heading
csv-stands-for = stands for
csv-head-unit = unit
csv-first-value = first value
one-reading-now = now
one-reading-set-before = set { $number }
one-reading-plate-mark = plate
sweep-picture-level-over-frequency = Sound level over frequency
sweep-picture-bands = bands to skip: { $bands }
sweep-picture-no-band = no band to skip
visits-now = now
