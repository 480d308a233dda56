
## core/balance.py

balance-curves-found-rpm = as found, { $speed } rpm
balance-system-put-right = system, repaired
balance-waits-machine-s = The machine's curve { $why }.
balance-waits-system-s = The system's curve waits for one static pressure and the flow at it.
balance-waits-flow-relative = Flow is relative to as found: no flow was measured.
balance-waits-pressure-relative = Pressure is relative to as found: none was measured.

## core/catalogue.py

core-catalogue-refusals = lacks { $lacking }
core-catalogue-efficiencies-efficiency-impossible = the { $name } efficiency of { $entry } % is impossible
core-catalogue-efficiencies-guarantees-more = guarantees { $least } %, more than its nominal { $nominal } %
core-catalogue-plate = gives { $in_both_units } from { $apparent } VA: one of power, volts, amps and efficiency is wrong
core-catalogue-curve-row-curve = row { $row } of its curve lacks flow, pressure or shaft power
core-catalogue-curve-row-curve-does = row { $row } of its curve does not flow more than the row before
core-catalogue-curve-row-curve-gives = row { $row } of its curve gives more than its shaft takes: one column is in another unit

## core/changes.py

changes-with-change-machine-needs = A machine needs a name; the one it had is kept.
changes-with-change-kept = { $label_of } is kept as it was: { $reason }.
changes-without-item = The item “{ $item_id }” is not there any more; somebody may have removed it.
changes-owner-job-place = A job has no place called “{ $path }”.
changes-walk-item-there = The item “{ $step }” is not there any more; somebody may have removed it.
changes-walk-job-place = A job has no place called “{ $steps }”.

## core/economy.py

economy-heat-and-cold = Heated and cooled hours are shares of the same hours: { $heated_share } and { $cooled_share } are more than all of them. Both are kept; shorten one.
economy-present-worth-factor-life-years = A life of no years saves nothing: type the years that machine and motor are expected to last.
economy-present-worth-factor-discount-rate = A discount rate below zero would make later money worth more than today's; type zero or more.

## core/entry.py

entry-these = of 1
entry-read-entry-takes-most = { $start } takes at most { $longest_typed } characters. { $example }
entry-read-entry-runs-downward = “{ $typed }” runs downward. A range is typed from low to high, for example 208-230 V.
entry-from-data-text-unit = { $start } is text with its unit, or an object with “typed” and “unit”.
entry-from-data-inside-but = “{ $typed }” { $unit } is { $entry } inside, but the file says { $said }. Keep one of them.
entry-whole = { $start } holds half a character, which cannot be kept; type it again.
entry-refuse-unreadable-must-finite = { $start } must be a finite number. { $example }
entry-refuse-unreadable-cannot-read = “{ $typed }” cannot be read as { $what }. { $example }
entry-unit-unit = “{ $spelling }” is a unit of { $other }
entry-unit-unit-known = “{ $spelling }” is no unit known here
entry-unit-kept-typed = “{ $typed }” is kept as typed: { $means }. { $start } takes { $unit_list }.
entry-unit-needs-unit = “{ $typed }” needs its unit: { $what } takes { $unit_list }.
entry-of-one-or-asked-did-you = {" "}Did you mean { $value } %?
entry-of-one-or-asked-kept-typed = “{ $typed }” is kept as typed: { $what } under { $least } % is none that practice has.{ $meant } Type it in per cent, for example { $least_2 } %, or as a fraction, 0.6.
entry-refuse-outside-lies-below = {" "}It lies below the room's pressure: type it with a minus.
entry-refuse-outside-did-you = {" "}Did you mean { $symbol }?
entry-refuse-outside-kept-typed = “{ $typed }” is kept as typed: { $what } lies between { $low } and { $high }{ $named }.{ $hint }
entry-one-meant = “{ $typed }” is kept as typed: it may be { $first } or { $second } { $symbol }. Type it without a group mark, { $first } or { $second_2 }; or say once how numbers are written at this site.
entry-unit-list = a plain number
entry-example = Type a number, with or without a unit ({ $unit_list }); a bare number is taken as { $symbol }.

## core/first.py

first-year-of-there-template = There is no template called “{ $building }”.
first-year-of-assumed = { $building }, assumed

## core/job.py


## core/next_step.py

next-step-plate-order-rated-power = Rated power off the plate.
next-step-plate-order-load-losses = Load and losses are told as shares of it.
next-step-plate-order-one-phase = One phase or three.
next-step-plate-order-settles-kind = It settles the kind of motor.
next-step-plate-order-hertz-off = Hertz off the plate, or of the supply.
next-step-plate-order-speed-gives = With the speed it gives the poles.
next-step-plate-order-rated-speed = Rated speed off the plate.
next-step-plate-order-gives-poles = It gives poles, slip and torque.
next-step-plate-order-rated-volts = Rated volts off the plate.
next-step-plate-order-load-slip = Load by slip and by amps is corrected with them.
next-step-plate-order-full-load = Full-load amps off the plate.
next-step-plate-order-they-give = They give load by amps, and a floor under the efficiency.
next-step-flow-words-share-full = Share of full flow
next-step-flow-words-share-wanted = Share of the wanted flow
next-step-flow-words-flow = The flow
next-step-flow-words-tap = The tap
next-step-call-say-why = Say why we are here.
next-step-call-dead-motor = A dead motor needs no running readings.
next-step-call-ask-whether = Ask whether this is a protected duty.
next-step-call-if-lower = If it is, no lower flow is proposed.
next-step-call-documented-least = The documented least flow.
next-step-call-until-recorded = Until it is recorded, nothing below the flow found is proposed.
next-step-plate-microfarads-run = Microfarads on the run capacitor, if there is one.
next-step-plate-tells-capacitor = It tells a capacitor motor from other kinds.
next-step-readings-what-motor = What the motor drives.
next-step-readings-kind-wheel = The kind of wheel settles the shape of its curve.
next-step-readings-add-set = Add a set of readings on the full setting.
next-step-readings-volts-amps = Volts and amps, running, are enough to begin.
next-step-readings-volts-motor = Volts at the motor, running.
next-step-readings-they-correct = They correct load by slip and by amps.
next-step-readings-line-amps = Line amps, one conductor in the clamp.
next-step-readings-they-give = They give load by amps.
next-step-readings-speed-tachometer = Speed, with the tachometer.
next-step-readings-gives-slip = It gives slip and load by slip.
next-step-fan-side-pressure-across = Pressure across the pump.
next-step-fan-side-static-pressure = Static pressure on both sides of the fan.
next-step-fan-side-puts-balance = It puts the balance on true axes.
next-step-fan-side-water-flow = Water flow, if it can be measured.
next-step-fan-side-airflow-if = Airflow, if it can be measured.
next-step-with-watts-true-watts = True watts, from a wattmeter.
next-step-with-watts-best-single = The best single reading of load; volts × amps is not watts.
next-step-with-watts-narrows-shaft = Narrows the shaft power.
next-step-duty-add-step = Add a step of the year: its hours and its share of full flow.
next-step-duty-energy-waits = Energy waits for hours.
next-step-duty-step = the step
next-step-duty-hours-year = Hours a year of { $named }.
next-step-duty-energy-waits-2 = Energy waits for it.
next-step-duty-of = { $flow_words } of { $named }.
next-step-duty-how-part = How part flow is met today.
next-step-duty-decides-what = It decides what the machine of today takes there.
next-step-duty-static-lift = Static lift of the pump.
next-step-duty-lift-slowing = With lift, slowing the pump saves far less.
next-step-duty-what-kilowatt = What a kilowatt-hour costs.
next-step-options-nothing-can = Nothing can be compared yet.
next-step-options-for = For { $letter }: { $question }
next-step-options-what-costs = What { $letter }, { $option }, costs.
next-step-options-payback-waits = Payback waits for it.
next-step-decision-choose-option = Choose an option.
next-step-decision-report-says = The report says that nothing is chosen yet.
next-step-decision-say-why = Say why.
next-step-decision-customer-reads = The customer reads it first.
next-step-setup-step = Step { $number }: { $do }
next-step-proof-read-machine = Read the machine as it is set now: a set marked “after”.
next-step-proof-without-nothing = Without it nothing is proved.
next-step-proof-read-after = Read “{ $step }” after: watts at the line, and flow.
next-step-proof-only-true = Only true watts prove a saving.

## core/nodes.py

core-nodes-other-motor-another-motor = another motor
core-nodes-other-motor-motor-fitted = the motor that was fitted is not the one of the plate

## core/numerals.py

numerals = “{ $text }” divides by zero.
numerals-plain-mixes-points = “{ $text }” mixes points and commas so that it is no number.
numerals-plain-marks-where = “{ $text }” has marks where no number has them.
numerals-numeral = “{ $text }” is not a finite number.
numerals-span-told = a moment

## core/phrase.py


## core/quantities.py

quantities-quantity = There is no quantity called “{ $name }”.

## core/rail.py

rail-tell-on-board = nothing: it goes on in the log
rail-findings-all-settled = all { $own } settled
rail-findings-nothing-found = nothing found
rail-call-waits-why = waits for why we are here
rail-call-protected-duty = { $reason }; protected duty
rail-call-protected-duty-asked = { $reason }; protected duty not asked yet
rail-plate-pole = { $poles }-pole
rail-plate-waits-plate = waits for a plate
rail-readings-none-needed = none needed: the motor is dead
rail-readings-set = { $taken ->
        [one] { $taken } set
       *[other] { $taken } sets
    }
rail-readings-moves = { $count }; moves { $figure }
rail-readings-load = { $count }; load { $load }
rail-duty-waits-hours = waits for hours a year
rail-duty-waits-hours-do = waits: the hours do not make a year yet
rail-duty-step = { $hours } { $count ->
        [0] in no steps
        [1] in one step
        [2] in two steps
        [3] in three steps
        [4] in four steps
        [5] in five steps
        [6] in six steps
        [7] in seven steps
        [8] in eight steps
        [9] in nine steps
       *[other] in { $count } steps
    }
rail-options-stopped = ; { $stopped } stopped
rail-options-considered = { $options } considered
rail-options-year = { $saving } a year{ $stops }
rail-options-waits-duty = waits for Duty
rail-saving = { $letter } saves { $saved }
rail-tell-saving = proved: saves { $figure }
rail-decision-waits-choice = waits for a choice
rail-decision-chosen-but = { $letter } chosen, but stopped
rail-decision-reason-said = ; its reason is not said
rail-way-step = step { $number } of { $steps }
rail-way-way-follow = a procedure to follow
rail-setup-stop-cleared = { $count ->
        [one] { $count } stop not cleared
       *[other] { $count } stops not cleared
    }
rail-setup-steps-signed = { $done } of { $whole } steps signed
rail-setup-all-steps = all { $whole } steps signed
rail-proof-held-up = held up: Set-up is stopped
rail-proof-saves = saves { $figure }, { $verdict }
rail-proof-waits-watts = waits for watts after
rail-headline-set-up = Set-up is stopped. { $stops }
rail-headline-proved-saves = Proved: saves { $figure } a year, { $verdict }.
rail-headline-dead = Dead: { $way }{ $verdict }
rail-headline-moves = Moves { $figure };{" "}
rail-headline-option-would = option { $letter }, { $told_option }, would save{" "}
rail-headline-year = { $moved }{ $named }{ $figure } a year.
rail-headline-only-name = Only its name is known.

## core/report.py

core-report-simulated = Uncertainties hold 95 %. They were tested on simulated machines, many of which share no equation with those used here; real ones may stray further.
core-report-no-choice = Nothing is recommended yet: the options below are compared, none was chosen.
core-report-machine-serves = Serves
core-report-machine-moves-air = Moves air or water with
core-report-machine-kind-motor = Kind of motor
core-report-machine-rated-power = Rated power
core-report-machine-full-load = Full-load amps
core-report-machine-rated-speed = Rated speed
core-report-machine-readings-steps = { $machines }; readings and steps are of one, years and money of all
core-report-machine-machines-alike = Machines alike
core-report-machine-protected-duty = Protected duty
core-report-found = { $severity }: { $one } { $action }
core-report-line = nothing now
core-report-recommendation-stopped-nothing = It is stopped: { $stop } Nothing is promised for it.
core-report-recommendation-expected-save = It is expected to save { $figure } of electricity a year against { $against }.
core-report-recommendation-money-year = In money, { $figure } a year.
core-report-recommendation-pays-itself = It pays for itself in { $figure }, by simple payback{ $on }.
core-report-recommendation-heat-old = Heat that the old motor gave and that must be made up: { $figure } a year.
core-report-recommendation-cooling-saved = Cooling that is saved besides: { $figure } a year.
core-report-recommendation-what-would = What would narrow this most: { $narrow }
core-report-recommendation-left-open = Left open: { $left_open }
core-report-approvals-stop-answers = Stop “{ $check }” of { $get }: { $who } answers for it, { $reason }
core-report-approvals-removed-option = a removed option
core-report-cautions-x = { $severity }: { $one } { $action }
core-report-cautions-x-2 = { $question } { $one }

## core/report_proof.py

report-proof-line-x = { $flow },{" "}

## core/report_summary.py

report-summary-nothing-found = Nothing was found that is wrong with the machine itself.
report-summary-bands = The ± and the ranges: in simulated trials 95 of 100 machines came out inside them. Real ones may stray further.
report-summary-prices = That prices of energy, the hours it runs, and the building stay as they were taken here.
report-summary-heat = Heat that the old motor gave to the air or water: where it was wanted, it has to be made otherwise.
report-summary-protected = No lower flow than what protects the people and goods here: that is not ours to change.
report-summary-found = And { $most_told } more, on the next page.
report-summary-figures-saved-year = saved a year, proved
report-summary-figures-energy-per = energy per year, before
report-summary-figures-energy-per-year = energy per year, after
report-summary-figures-saves-year = saves a year
report-summary-figures-saves-year-money = saves a year, money
report-summary-figures-simple-payback = simple payback{ $what_costs }
report-summary-figures-costs-fitted = costs, fitted
report-summary-rests-on-to = , { $days } to { $days_2 }
report-summary-rests-on-measured-machine = { $sets ->
        [one] Measured on the machine: { $sets } set of readings{ $when }.
       *[other] Measured on the machine: { $sets } sets of readings{ $when }.
    }
report-summary-rests-on-nothing-measured = Nothing was measured on the running machine: plate and typical motors stand for it.
report-summary-rests-on-taken-usual = Taken as usual, not measured: { $assumed }{ $more }.
report-summary-rests-on-more = {" "}and more

## core/short.py

short-moves-wanted = wanted { $target }
short-takes-plate = { $judged }, plate { $rated_current }
short-costs-costs-year = costs a year
short-costs-waits-machine = waits for the machine and its hours
short-costs-energy-per = energy per year

## core/statements.py

core-statements-statements = answer for a stop
core-statements-named = { $what } by a person: say who you are at the top of the page. Nothing was kept.
core-statements-mark-finding-finding-there = That finding is not there any more: a reading that it rested on has changed.
core-statements-mark-finding-finding = a finding { $state }
core-statements-answer-for-stop-stop-there = That stop is not there any more: something that it rested on has changed.
core-statements-answer-for-stop-nobody-can = { $question } Nobody can answer for this one.
core-statements-answer-for-stop-stop-answered = A stop is answered for with a name and a reason; nothing was kept.
core-statements-answer-for-stop-answers-stop = { $name } answers for a stop
core-statements-record-approval-approval-says = An approval says of what it is and who gave it; nothing was kept.
core-statements-record-approval-approval-recorded = An approval is recorded
core-statements-record-approval-approval-recorded-2 = approval of { $strip } recorded
core-statements-sign-step-step-there = That step is not there any more.
core-statements-sign-step-step-signed = A step is signed
core-statements-sign-step-signed-step = { $who } signed this step meanwhile: { $state }. Look at it, then sign once more if you still mean to.
core-statements-sign-step-nothing-signed = { $refusal } Nothing was signed.
core-statements-sign-step-step-signed-2 = step { $number } signed: { $state }
core-statements-withdraw-job-statements = A job has no statements called “{ $path }”.
core-statements-withdraw-earlier-withdrawn = An earlier { $statements } is withdrawn
core-statements-withdraw-what-said = What was said is withdrawn with a reason; nothing was kept.
core-statements-withdraw-there = That { $statements } is not there.
core-statements-withdraw-withdrew-meanwhile = { $said } withdrew this meanwhile.
core-statements-withdraw-withdrawn = { $statements } withdrawn by { $who }
core-statements-refuse-statements = What somebody says by name ({ $name }) is no field to edit: it is said, and withdrawn, by its own button. Nothing was changed.

## core/withheld.py

withheld-of-fault = a fault of this program, which was noted down.
withheld-everything = everything that was typed
withheld-sentence = { $self_ }{ $said } is kept, but nothing can be worked out with it: { $reason } Read it again, or leave it empty.
withheld-label = { $label } of set { $number }
rail-decision = { $letter }, { $title }{ $reason }
rail-findings-count = { $severity ->
        [stop] { $count ->
            [one] { $count } stop
           *[other] { $count } stops
        }
        [caution] { $count ->
            [one] { $count } caution
           *[other] { $count } cautions
        }
       *[note] { $count ->
            [one] { $count } note
           *[other] { $count } notes
        }
    }
next-step-because = { $why }.
core-report-amps = amps
core-report-watts = watts
core-report-of-set = { $name }: { $label }
core-report-chosen = { $letter }, { $title }.{ $why }
core-report-approval = { $of }: { $who }{ $rest }
core-report-nobody = nobody named
short-moves = moves
short-takes = takes
core-report-years-left = years left in the machine
core-report-discount = discount rate, 5 %
core-report-hours-of = hours of { $step }
core-report-worked = { $letter }, { $title }: { $label }
report-proof-option = { $letter }, { $title }
error-sources-set = set { $number }

## core/unfit.py
unfit-missing = it is missing
unfit-no-such-place = there is no such field
unfit-none-of-the-answers = that is none of its answers
unfit-too-long = at most { $max_length } fit
unfit-too-short = it takes at least { $min_length }
unfit-string-too-long = at most { $max_length } characters fit
unfit-string-too-short = it takes at least { $min_length ->
    [one] one character
   *[other] { $min_length } characters
 }
unfit-text = it takes text
unfit-whole-number = it takes a whole number
unfit-number = it takes a number
unfit-yes-or-no = it takes yes or no
unfit-greater-than = it lies above { $gt }
unfit-at-least = it is { $ge } or more
unfit-less-than = it lies below { $lt }
unfit-at-most = it is { $le } or less
unfit-list = it takes a list
unfit-fields = it takes fields with their values
unfit-json = it is not JSON
unfit-day = it takes a day, as 2026-03-01
unfit-moment = it takes a day and a time, as 2026-03-01T14:30:00Z
unfit-other-form = it is of another form

## core/entry.py, core/job.py, core/stations, core/tables: what their models refuse
entry-not-finite = an entry holds finite numbers only
job-id-twice = two items of one list have the same id
sheet-null-character = the text holds a null character, which cannot be kept; type it without
sheet-half-character = the text holds half a character, which cannot be kept; type it again
readings-no-such-reading = a set has no reading called “{ $name }”
readings-unread-twice = a reading is said twice to be out of reach; say it once
readings-two-frequencies = one set is one condition; two frequencies need two sets
readings-no-time = “{ $text }” is no time; type it as 2026-03-01 14:30
traits-signal-order = a signal goes up: zero, then the end of the dead band, then full
traits-floor-order = a drive’s lowest frequency lies below its highest
knobs-least-hertz = a supply has at least { $least } Hz; 0 leaves it as built
tables-no-row = The table “{ $title }” has no row for { $described }.
stations-duty-duty-currency-form = Three letters, for example USD or EUR.
product-code-form = Small letters, figures and dashes.

## core/quantities.py
quantities-both-units = { $first } ({ $other })
unit-days = days
unit-years = years
unit-per-kwh = per kWh
unit-litres-a-second-per-kilowatt = L/s per kW
unit-cubic-metres-an-hour-per-kilowatt = m³/h per kW

## core/stations: what is meant by a field
product-name-help = What it is, without a make.
call-complaints-help = All that they name.
decision-chosen-help = The option's own identifier.
options-option-costs-repairs-help = What Findings say; every saving is against the repaired machine.
