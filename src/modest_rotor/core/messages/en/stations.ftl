
## core/stations/call.py

call-complaints = What do the people here notice?

## core/stations/charts.py

charts-chart-example = For example: cfm 208 230, then under it 1600 3.9 3.6.
charts-read-grid-chart-head = A chart has a head and at least { $least } rows. { $chart_example }
charts-read-grid-chart-most = A chart has at most { $most_rows } rows; this has { $lines }. It is kept as typed.
charts-read-grid-chart-columns = A chart has 1 to { $most_columns } columns; this has { $head }. It is kept as typed.
charts-amps-chart-v-column = The { $key } V column has fewer than { $least } amps. It is kept as typed.
charts-amps-chart-two-columns = Two columns have the same volts. Keep one of them.
charts-blower-table = The column “{ $name }” has fewer than { $least } flows. It is kept as typed.
charts-amps-chart-state-v-amps = At { $key } V amps fall as air rises: right for an axial wheel, wrong for a blower.
charts-amps-chart-state-v-amps-rise = At { $key } V amps rise and fall along the column: look for a slip in typing.
charts-blower-table-state-flow-rises = On “{ $name }” flow rises with static somewhere: look for a slip in typing.
charts-blower-table-state-say-parts = Say which parts the table counts as external: it decides what the static must hold.
charts-row = Line { $number } has { $rest } cells under { $columns } heads. It is kept as typed.
charts-number = “{ $text }” in line { $line } is no number. It is kept as typed; correct that cell.
charts-factor = Say in which unit the chart's { $what } is: it stands in no cell that could be read.
charts-refuse-repeated = Two rows begin with the same number. Keep one of them.

## core/stations/decision.py

decision-chosen = Chosen

## core/stations/duty.py

stations-duty-duty-currency = Currency
stations-duty-assess-duty-hours-year = Hours a year
stations-duty-assess-duty-off = Off
stations-duty-assess-duty-sum-steps = sum of the steps
stations-duty-assess-duty-less-hours = 8,760 less the hours above
stations-duty-refusal-cycles-min = { $step }: { $cycles } cycles of { $minutes } min are more than an hour in an hour. Shorten one; both are kept.
stations-duty-refusal-step = A step
stations-duty-refusal-steps-add = The steps add up to { $total } h; a year has at most 8,784. Shorten a step.
stations-duty-starts-starts-year = Starts a year
stations-duty-starts-waits-starts = waits for starts or cycles
stations-duty-starts-typed-logged = typed or logged
stations-duty-starts-cycles-season = cycles × season

## core/stations/findings.py


## core/stations/fitting.py


## core/stations/flow_estimate.py

flow-estimate-remarks-efficiency-machine = The efficiency is that of a machine as it is usually fitted, so the uncertainty is large: it tells a fan that moves half of what it should, not one that moves nine tenths.
flow-estimate-remarks-options-go = Options go on asking for a measured flow: money waits for it.
flow-estimate-flow-by-power-power = { $flow_label } by power
flow-estimate-flow-by-power-measured = measured
flow-estimate-flow-by-power-nothing-moved = nothing is moved: no wheel or belt was on the shaft
flow-estimate-flow-by-power-waits-load = waits for a load and the pressure across it
flow-estimate-flow-by-power-waits-static = waits for the static on the other side
flow-estimate-flow-by-power-efficiency-such = efficiency of such a machine
flow-estimate-flow-by-power-definition-efficiency = Definition of efficiency, AMCA 210 and ISO 9906; the efficiency our judgement, no source.

## core/stations/flow_together.py

flow-together-taken-together-flow-together = Flow, together
flow-together-taken-together-waits-one = waits for one method that gives a flow
flow-together-taken-together-weighed = Weighed: { $value }.
flow-together-taken-together-taken-does = { $way } is taken. { $names } does not go with it, so the uncertainty is widened.
flow-together-taken-together-weighted-mean = Weighted mean, JCGM 100 (GUM) and ISO/IEC practice; which methods to believe is common practice.
flow-together-taken-together-ways-agree = methods that agree, weighed by their uncertainties
flow-together-why-amps-chart = An amps chart is off when the motor, capacitor or tap is not the original one.
flow-together-why-blower-table = A blower table is off when the wheel is fouled, or when static is not counted as it counts it.
flow-together-why-temperature-rise = A temperature rise is off with a wet coil, stratified air or radiant heat.
flow-together-why-affinity-law = The affinity law holds on an unchanged system only.
flow-together-why-generic-curve = The generic curve is not this wheel's own.
flow-together-why-such-efficiency = Such an efficiency is a guess for this machine.
flow-together-clamp-chart-does = The chart does not reach { $airflow }: { $refusal }
flow-together-clamp-reach-chart = To reach { $airflow } at { $voltage } this chart wants { $current }
flow-together-clamp-x = { $said }.
flow-together-clamp-clamp-reads = { $said }: the clamp reads that now, within its error.
flow-together-clamp-chart-amps = { $said }. On this chart amps fall as air rises: move the plate in small steps and read both.
flow-together-clamp-open = open
flow-together-clamp-close = close
flow-together-clamp-fall = fall
flow-together-clamp-rise = rise
flow-together-clamp-plate-until = : { $move } the plate until the clamp reads that; the speed will { $speed } as you do.
flow-together-live = Live work: only by those qualified, with the right meter and gloves.
flow-together-load-readings-true-watts = True watts
flow-together-load-readings-wattmeter-line = A wattmeter in the line; volts × amps is not watts.
flow-together-load-readings-one-conductor = One conductor alone in the clamp.
flow-together-load-readings-tachometer-mark = Tachometer on a mark of the shaft or wheel, one mark a turn.
flow-together-load-readings-keep-hands = Keep hands, sleeves and cords clear of the wheel.

## core/stations/flow_method.py

flow-way-words = void: { $reason }

## core/stations/flow_methods.py

flow-ways-heat-source = Energy balance; sensible heat factor of ASHRAE Handbook, Fundamentals, at the place's density.
flow-ways = the efficiency is only that of such machines
flow-ways-measured-waits-hood = waits for a hood, a traverse or a meter
flow-ways-measured-ashrae-standard = ASHRAE Standard 111.
flow-ways-by-chart-waits-chart = waits for the chart in the panel
flow-ways-by-chart-between-v = Between the { $columns } and { $columns_2 } V columns, straight in volts.
flow-ways-by-chart-nearest-column = The nearest column, { $nearest_volts } V, gives { $between } %: both schools are in use; interpolation is taken, because the amps of a tap change smoothly with volts.
flow-ways-by-chart-nearest-column-2 = by the nearest column
flow-ways-by-chart-q-i = q at I between the columns round V
flow-ways-by-chart-machine-s = The machine's own chart.
flow-ways-by-chart-chart-belongs = the chart belongs to one tap: say which before believing it
flow-ways-by-table-waits-blower = waits for the blower's table
flow-ways-by-table-waits-speed = waits for the speed tap, by the table's own names
flow-ways-by-table-static-table = static as the table counts it, tap { $tap }
flow-ways-by-table-q-p = q at p on the tap
flow-ways-by-table-machine-s = The machine's own table.
flow-ways-as-counted-taken-table = Taken as the table counts it: nobody said what lies between the taps.
flow-ways-as-counted-table-counts = the table counts the { $part } as { $external }: read the pressure across it
flow-ways-as-counted-external = external
flow-ways-as-counted-own = its own
flow-ways-rise-waits-both = waits for both air temperatures and the heat put in
flow-ways-rise-withheld-air = withheld: the air leaves no warmer than it enters
flow-ways-rise-heat-per = heat per flow and kelvin, at altitude and temperature
flow-ways-rise-motor-s = The motor's own heat is not counted: it makes the flow read a little low where it sits in the air.
flow-ways-against-rise-wet-coil = a wet coil takes heat that no thermometer shows
flow-ways-against-rise-thermometer-sight = the thermometer is in sight of the heat exchanger
flow-ways-against-rise-steady-yet = not steady yet, wait ten minutes from the start
flow-ways-against-rise-rise-too = the rise is too small for two thermometers
flow-ways-heat-fuel-burned = fuel burned
flow-ways-heat-efficiency-appliance = efficiency of the appliance
flow-ways-heat-heater-volts = heater volts
flow-ways-heat-heater-amps = heater amps
flow-ways-water-heat-waits-both = waits for both water temperatures and the heat put in
flow-ways-water-heat-withheld-water = withheld: the water leaves no warmer than it enters
flow-ways-water-heat-energy-balance = Energy balance; IAPWS-95.
flow-ways-water-heat-difference-small = the difference is small for two thermometers
flow-ways-affinity-waits-another = waits for another set with a measured flow
flow-ways-affinity-waits-speed = waits for a speed in both sets
flow-ways-affinity-speed-then = speed then
flow-ways-affinity-speed-now = speed now
flow-ways-affinity-amca-publication = AMCA Publication 201.
flow-ways-other-system-duct-another = the duct was in another state then
flow-ways-other-system-pressure-does = pressure does not go with speed squared, so the system is another
flow-ways-other-system-holds-one = holds on one system only; read the static in both sets to prove that it is the same
flow-ways-on-curve-waits-another = waits for another set with flow, pressure and load, and for a speed in both
flow-ways-on-curve-waits-load = waits for a load
flow-ways-place-q-where = q where the curve through the known point, at this speed, agrees best
flow-ways-place-amca-publication = AMCA Publication 201 for the curve's move; generic shape our judgement, no source.

## core/stations/identification.py

identification-ohms-help = Every lead disconnected, capacitor off. Type OL where the meter shows none.

## core/stations/identity.py

identity-order-words-highest-speed = highest speed
identity-order-words-lowest-speed = lowest speed
identity-hermetic-terminals-sealed = Terminals of a sealed machine
identity-hermetic-pins-sealed = Pins of a sealed shell can blow out with hot oil and refrigerant: face clear, cover held on while power is on. Power off, locked, proved dead; every lead off the pins, capacitor discharged.
identity-hermetic-read-each = Read each pin to the bare shell first; the three pairs after that.
identity-hermetic-pin-grounded = A pin is grounded: put the cover back, do not energise it.
identity-poles-poles-speed = Poles, from the speed
identity-poles-read-speed = Read the speed once more, lightly loaded, on the highest tap: a loaded tap can look like another pole count.
identity-poles-poles-slipping = { $poles } poles, slipping { $slip } %
identity-poles-definition-slip = Definition of slip; usual slips our judgement, no source.
identity-pole-words = { $poles } poles, slipping { $slip }
identity-windings-windings-three = Windings, from three resistances
identity-windings-resistances-series = Resistances in series; which winding has more is common practice, no source.
identity-winding-words-disconnect-every = Disconnect every lead and the capacitor, zero the meter's own leads, and read all three again.
identity-winding-words-common-start = { $names } is common, { $names_2 } start, { $names_3 } run
identity-winding-words-perhaps-but = Perhaps { $words }; but the highest is not quite the sum of the other two.
identity-winding-words-highest-sum = { $words }; the highest is the sum of the other two within the meter's error.
identity-winding-words-three-equal = Three equal pairs: three-phase, or the motor behind an electronic module.
identity-winding-words-common-start-run = { $names } is common; start and run read the same, so they cannot be told apart
identity-winding-words-reversible-motor = { $words }: a reversible motor, or a meter too coarse.
identity-winding-words-read-finer = Read with a finer range; else follow the capacitor.
identity-winding-words-pair-reads = A pair reads as good as nothing: a short between turns, or probes that touch.
identity-winding-words-reads-open = {" "}{ $names } reads open to both others.
identity-winding-words-winding-open = A winding is open, or the thermal switch inside is.{ $at }
identity-winding-words-let-cool = Let it cool for half an hour and read again before condemning it: a thermal switch closes by itself.
identity-winding-words-highest-sum-other = The highest is not the sum of the other two: these are not the three ends of two windings.
identity-ground-does-hold = does not hold: a winding touches the frame, or is wet
identity-ground-insulation-ground = Insulation to ground
identity-ground-insulation = Insulation { $words } ({ $value }).
identity-ground-ieee-std = IEEE Std 43, least insulation resistance (from memory); 1 MΩ common practice.
identity-speeds-lead-perhaps = A lead that is perhaps no speed
identity-speeds-far-more = { $colour } has far more resistance than the others: the auxiliary winding's, not the lowest speed.
identity-speeds-one-lead = One lead
identity-speeds-see-whether = See whether it goes to the capacitor; say what it is for, and it is put in its place.
identity-speeds-speeds-resistance = Speeds, from resistance to common
identity-speeds-lead = lead { $place }
identity-speeds-most-resistance = From { $order_words } to { $order_words_2 }: { $named }. The most resistance is the lowest speed.
identity-speeds-functions-said = The functions said do not go in that order: look at the leads again.
identity-kind-kind-what = Kind, from what is on it
identity-kind-may-replaced = May be replaced by: { $replaced_by }
identity-relay-start-relay = Start relay
identity-relay-relay = { $relay_kind } relay.
identity-relay-said-there = It was said that there is none: look again.
identity-relay-replaced = Replaced by: { $replaced_by }
identity-built-shaft-both = Shaft at both ends
identity-built-turns-wheel = It turns a wheel at each end: its load is both of them.
identity-built-rotation-said = Its rotation is said from one stated end; the wheels are handed. Only another with two shafts takes its place.
identity-built-outer-rotor = Outer rotor
identity-built-motor-wheel = Motor and wheel are one piece, balanced together: the whole fan is replaced.
identity-what-tells-parts-contradict = The parts contradict each other: look at them once more.
identity-what-tells-look-also = Look also for: { $value }.

## core/stations/logger.py

logger-logged-year-log-covers = The log covers { $covered } minutes; a year is told from an hour at the least, and from a week with any trust.
logger-logged-year-machine-never = The machine never ran while it was logged: log it again when it is called, or type the hours.

## core/stations/loop.py


## core/stations/meters.py

stations-meters-promise = Off its data sheet, as ± of the reading; empty takes what sound ones promise.

## core/stations/motor_fit.py

motor-fit-lower-taps-medium-tap = medium tap
motor-fit-electronic-refusal = withheld: an electronic motor's load comes from true watts or its maker's table, never from slip or amps
motor-fit-fit-motor-of = waits for { $lacking } on the plate

## core/stations/options.py

options-considered-kind = Kind of option
options-considered-product = Product
options-waiver-option = Option
options-waiver-check = Check
options-option-costs-repairs = Repair first

## core/stations/plate.py


## core/stations/plate_answer.py

plate-answer-definition = Definition; Fitzgerald, Kingsley and Umans, Electric Machinery, ch. 4.
plate-answer-standard-slip-remark = By standard tolerance (NEMA MG 1) a motor's true slip may lie 20 % either side of its plate.
plate-answer-no-speed-electronic-motor = an electronic motor has no slip: its electronics set its speed
plate-answer-no-speed-check-plate = { $speed_refusal } Check the plate's speed and frequency.
plate-answer-no-speed-waits = waits for { $missing }
plate-answer-poles-result-low-tap = A low tap or a strained motor can look like another pole count; the plate's speed is at full load, high tap.
plate-answer-poles-result-pole-count = the pole count p whose 120 f ÷ p is the nearest at or above n
plate-answer-slip-result-rated-slip = Rated slip
plate-answer-torque-result-rated-torque = Rated torque
plate-answer-torque-result-waits = waits for { $value }

## core/stations/plate_expected.py

plate-expected-source = A motor fitted to this plate by the equations of its kind; what is likely of its kind is our judgement, no source. Compare with a reading before believing either.
plate-expected-labels-efficiency-full = Efficiency at full load
plate-expected-labels-p-n = η = P_N ÷ W of the fitted motor at rated load
plate-expected-labels-power-factor = Power factor at full load
plate-expected-labels-w-s = λ = W ÷ S of the fitted motor at rated load
plate-expected-labels-amps-bare = Amps with a bare shaft
plate-expected-labels-i-fitted = I of the fitted motor with nothing on its shaft, at rated volts
plate-expected-labels-amps-rotor = Amps with the rotor held
plate-expected-labels-i-fitted-motor = I of the fitted motor at standstill, at rated volts
plate-expected-expected-results-start-switch = its start switch is closed then, and the start winding is not on the plate
plate-expected-rough-capacitor-run-capacitor = Run capacitor, roughly
plate-expected-rough-capacitor-c-fitted = C of the fitted motor at its plate and readings
plate-expected-rough-capacitor-rough-nothing = Rough: nothing is bought by it. Read the capacitor itself out of circuit, or its maker’s list.

## core/stations/plate_line.py

plate-line-read-line = { $title } stands here more than once, and not the same
plate-line-doubt-nothing = nothing
plate-line-doubt-may-belong = “{ $numbers }” may belong to another word here ({ $also }): type it in its own field

## core/stations/plate_meaning.py

plate-meaning-standard-factor = NEMA MG 1, 14.37 and 12.51 (from memory).
plate-meaning-meanings = The project's own tables.
plate-meaning-slip-ordinary = is ordinary
plate-meaning-slip-ordinary-look = is not ordinary: look at speed, hertz and kind again
plate-meaning-slip-x = { $slip } { $verdict }; { $row }.
plate-meaning-connections-two-connections = Two connections stand on the plate. Say which one is wired; until then the first is worked with.
plate-meaning-connections-full-load = , full-load { $rated_current }
plate-meaning-input-about = About{" "}
plate-meaning-input-line-full = {" "}from the line at full load
plate-meaning-input-so-power = , so a power factor of{" "}
plate-meaning-service-factor = {" "}({ $rated_power })
plate-meaning-code-to = {" "}to { $rated_current }
plate-meaning-code-more = {" "}and more
plate-meaning-span-to = { $low } to { $high }
plate-meaning-span-more = { $low } and more
plate-meaning-efficiency = The table of nominal and minimum efficiencies is for polyphase motors only.
plate-meaning-efficiency-class = IEC 60034-30-1:2014, at 50 Hz (from memory).
plate-meaning-frame = NEMA MG 1, 4.2.2 and 4.4.1 (from memory).
plate-meaning-dimensions-shaft = Shaft{" "}
plate-meaning-dimensions-above-feet = {" "}above the feet
plate-meaning-dimensions-length-thickness = , of a length and thickness that are not the standard's: measure it
plate-meaning-dimensions-thick = {" "}thick,{" "}
plate-meaning-dimensions-feet-their = ; feet of their own: measure them
plate-meaning-dimensions-feet = ; feet{" "}
plate-meaning-dimensions-by = {" "}by{" "}
plate-meaning-dimensions-between-holes = {" "}between holes
plate-meaning-dimensions-shoulder-near = ; shoulder to near hole{" "}
plate-meaning-dimensions-x = { $said }.
plate-meaning-keyway-flat-place = a flat in place of a key
plate-meaning-keyway-keyway-wide = keyway { $dimension } wide
plate-meaning-rotation = { $rotation }, looking at the { $rotation_seen_from }.
plate-meaning-protection-opens-when = It opens when hot and closes by itself: the motor restarts without warning. Isolate before touching.
plate-meaning-protection-opens-when-hot = It opens when hot; whether it closes by itself is not printed. Take it that the motor restarts without warning: isolate before touching.
plate-meaning-protection-stays-open = It stays open until it is pressed; find out why it opened first.
plate-meaning-protection-windings-stand = Its windings stand a held rotor without burning; nothing opens.
plate-meaning-protection-nothing-inside = Nothing inside opens: a separate overload must be there.
plate-meaning-capacitor = {" "}The rule is for 230 V motors at 50 Hz, which this is not, so it says little.
plate-meaning-start-capacitor-parallel-run = In parallel to the run capacitor while starting, then switched out.
plate-meaning-start-capacitor-commonly-about = {" "}Commonly about{" "}
plate-meaning-start-capacitor-three-times = , three times the run capacitor, with wide scatter: published motors reach twelve times.
plate-meaning-tellers-input-full = Input at full load
plate-meaning-tellers-service-factor = Service factor
plate-meaning-tellers-code-letter = Code letter
plate-meaning-tellers-efficiency-class = Efficiency class
plate-meaning-tellers-other-way = The other way round
plate-meaning-tellers-thermal-protection = Thermal protection
plate-meaning-tellers-start-capacitor = Start capacitor

## core/stations/plate_values.py

plate-values-told-of-can-two = “{ $numbers }” can be two numbers here: type it without a group mark, or say how numbers are written
plate-values-told-of-locked-rotor = locked-rotor amps, which nothing here asks for
plate-values-outside = no plate has { $numbers } { $unit }: look again, and type it in its own field if it is so
plate-values-capacitors-two-sections = two sections of a dual capacitor are not like this: type the fan's own µF
plate-values-capacitors-run-capacitor = a run capacitor of so many µF is none of a small motor: is it the start capacitor's?
plate-values-capacitor-volts-these-capacitor = are these the capacitor's volts, or the motor's?
plate-values-capacitor-volts-volts-start = volts of the start capacitor
plate-values-volts = one connection's range, or two connections? Type them in their own fields
plate-values-amps-volts-type = for which volts? Type them beside their own volts
plate-values-amps-one-each = one for each connection: type the one in which it is wired
plate-values-powers-one-each = one for each frequency or speed? Type the one that applies
plate-values-powers-power-taken = power taken from the line, beside the shaft's
plate-values-speeds-two-does = which of the two does its supply have? Type that one
plate-values-speeds-one-each = one for each frequency: type the one of its supply
plate-values-speeds-rated-speed = rated speed { $top } rpm on its highest tap; the others are its lower taps'
plate-values-twice-same-once = the same once more
plate-values-twice-said-twice = it is said twice: “{ $numbers }” and “{ $numbers_2 }”
plate-values-contradictions-motor-turns = no motor turns { $flat } rpm at { $flat_2 } Hz
plate-values-contradictions-service-factor = service-factor amps lie above full-load amps
plate-values-power-against-volt-amps-more = more
plate-values-power-against-volt-amps-far-less = far less
plate-values-power-against-volt-amps-w-v = { $watts } W is { $side } than { $connection } V and { $current } A can be: look at all three again

## core/stations/product.py

product-code = Code
product-type = Type
product-name = Name
product-curve = Curve

## core/stations/proof.py


## core/stations/readings.py

readings-reading-set-unread = Cannot be read
readings-refuse-future = That time lies in the future. The set is kept as it was: correct the date, or the clock it was read from.

## core/stations/set_answer.py

set-answer-typical = typical of the kind
set-answer-method-labels-all-together = All together
set-answer-method-labels-watts = By watts
set-answer-method-labels-speed = By speed
set-answer-method-labels-volts-amps = By volts × amps
set-answer-method-labels-plain-slip = Plain slip
set-answer-method-labels-plain-amps = Plain amps
set-answer-load-sheet = US Department of Energy, Motor Challenge fact sheet on motor load and efficiency (from memory)
set-answer-scatter = Its range is no narrower than simulated motors scatter about the formula: our own study, so optimistic.
set-answer-lean = The formula's known lean is taken out and its scatter is the uncertainty: our own study of simulated motors, so optimistic.
set-answer-fitted-remark = Its uncertainty comes from the cloud of motors that plate and readings allow: our own study, simulated, so optimistic.
set-answer-fitted-source = The motor's own equations (Fitzgerald, Kingsley and Umans, Electric Machinery, ch. 6 and 9) with parameters fitted to plate and readings; typical parameters our judgement, no source.
set-answer-formulas-p-motor = P of the motor that agrees best with the plate and every reading, at n, V and its temperature
set-answer-formulas-p-w = P = W η(n, V), η of the fitted motor
set-answer-formulas-p-n = P(n, V, temperature) of the fitted motor
set-answer-formulas-p-v = P = V I λ η, λ and η of the fitted motor at n and V (× √3 with three phases)
set-answer-formulas-shaft-power = the shaft power P whose input P + L (f + (1 − f)(P ÷ P_N)²) is W, with L = P_N (1 ÷ η − 1)
set-answer-formulas-load-n = load = (n_s − n) ÷ (n_s − n_N) × (V ÷ V_N)²
set-answer-formulas-load-i = load = I ÷ I_N × V ÷ V_N
set-answer-sources-input-output = Input–output with a two-term loss split (IEEE Std 112, reduced); efficiency: our judgement, no source.
set-answer-sources-slip-method = { $load_sheet }, slip method with volts compensation.
set-answer-sources-line-current = { $load_sheet }, line-current method.
set-answer-slip-speed = a speed
set-answer-slip-rated-speed = rated speed and frequency on the plate
set-answer-slip-slip-now = Slip now
set-answer-slip-waits = waits for { $lacking }
set-answer-slip-withheld-off = withheld off the high tap, where slip says nothing of load
set-answer-method = waits for { $missing }
set-answer-method-result = The plain formula gives { $formula_load } %. { $lean }
set-answer-motor-ingredients-efficiency-rated = efficiency at rated load
set-answer-motor-ingredients-share-losses = share of losses that stays at no load
set-answer-efficiency-origin = { $typical }, cut off below { $bound } %, the least that the plate's volts × amps allow
set-answer-load-waits-rated = waits for rated power
set-answer-load-load-p = load = P ÷ P_N
set-answer-shaft-power-believed-here = { $method_labels } is believed here. { $reason }
set-answer-shaft-power-does-agree = It does not agree with the load { $named }, so its uncertainty is widened by half the way there.
set-answer-shaft-power-our-own = Our own study of simulated motors; choice of method common practice.
set-answer-taken-by-fitted-motor = the fitted motor with every reading, weighed with flow × pressure ÷ efficiency where both were read
set-answer-taken-by-best-single = the best single method for this case; methods that share meters are not averaged
set-answer-no-load-withheld = withheld: { $not_running }
set-answer-no-load-waits-reading = waits for a reading
set-answer-no-load-waits-watts = waits for watts, or for volts and amps or speed with the plate's own values
set-answer-pressure-p-supply = p = supply − return
set-answer-pressure-waits-pump = waits for the pump differential
set-answer-pressure-waits-static = waits for static pressure
set-answer-pressure-read-one = Read on one side of the fan only: the other side's pressure is missing from it.
set-answer-pressure-definition-ashrae = Definition; ASHRAE Standard 111 for where to read.
set-answer-questions-above-synchronous = { $speed } is at or above synchronous speed, { $speed_2 }. The reading is kept; slip and load are withheld until it is explained.
set-answer-questions-hertz-motor = { $three_phase ->
    [yes] Are the hertz at the motor those of the plate, or is a drive feeding it more?
   *[no] Are the hertz at the motor those of the plate?
 }
set-answer-questions-did-tachometer = Did the tachometer count more than one mark a turn?
set-answer-questions-air-water = Was air or water driving the wheel (windmilling)?
set-answer-questions-plate-s = Is the plate's speed read right, or has the motor another pole count?

## core/stations/set_facts.py

set-facts-title-set = set { $number }, { $self_ }
set-facts-title-set-2 = set { $number }
set-facts-motor-of-waits-rated = waits for rated power and phases on the plate
set-facts-motor-of-withheld = withheld: { $limit }
set-facts-methods = rated power and phases
set-facts-withheld-above = withheld: the speed read is at or above synchronous, so plate and readings do not belong together yet

## core/stations/setup.py

stations-setup-setup-traits = Traits

## core/stations/statement.py


## core/stations/target.py

target-flow-water-flow = Water flow wanted
target-flow-waits-flow = waits for a flow, tons and kind of cooling, heat and rise, or volume and changes
target-typed-typed = as typed
target-typed-design = The design.
target-by-cooling-table-air = { $system }, table air_per_cooling
target-by-cooling-cooling-capacity = cooling capacity
target-by-cooling-air-per = air per cooling
target-by-cooling-schools-cfm = Schools: 400 cfm a ton ordinarily, 350 where it is humid, 450 where it is dry or for a heat pump, 250 in small ducts.
target-by-heat-heat-output = heat output
target-by-heat-middle-rise = middle of the rise allowed
target-by-heat-heat-per = heat per flow and kelvin, at altitude
target-by-heat-energy-balance = Energy balance; ASHRAE Handbook, Fundamentals, sensible heat factor.
target-by-changes-volume = volume
target-by-changes-air-changes = air changes an hour
target-by-changes-definition-air = Definition of air changes.

## core/stations/trust.py

trust-no-watts-with-amps = the wattmeter shows nothing while the motor takes current, so one of its leads or clamps is off; kept, not worked with
trust-place-of-drive = read at the drive's input: it holds the drive's own loss and is not the motor's
trust-needs-true = an average-responding meter cannot read this waveform; it is kept, not worked with
trust-no-capacitor = no run capacitor belongs to this motor by its plate; kept, not worked with
trust-needs-filter = volts of a chopped waveform need a low-pass meter; they are kept, not worked with
trust-needs-analyser = watts of a chopped waveform need a meter made for it; they are kept, not worked with
trust-not-running-motor-stood = the motor stood still while it took current, so nothing of this set is a running reading
trust-not-running-motor-took = the motor took nothing, so nothing of this set is a running reading
trust-not-running-wheel-turned = the wheel turned while the motor took nothing: air or water drove it, and no load can be told
trust-not-running-motor-stood-still = the motor stood still, so nothing of this set is a running reading
plate-meaning-enclosure-word = { $means }.
flow-ways-as-counted-told = { $parts }.
identity-kind-answer = { $kind }.
plate-line-words = { $title } { $words }
flow-ways-added = { $part } added
flow-ways-taken-out = { $part } taken out

## core/stations/plate_meaning.py

plate-meaning-poles = { $poles } poles are what most direct-drive blowers have.
plate-meaning-connections-wired-power = Wired for { $volts }{ $amps }. The power is the same on either connection, so half the volts take twice the amps.
plate-meaning-connections-definition-power = Definition of power.
plate-meaning-input-x = { $said }.
plate-meaning-input-definitions-efficiency = Definitions of efficiency and power factor.
plate-meaning-service-factor-nothing-beyond = 1.0: nothing beyond rated power, not even for a while.
plate-meaning-service-factor-may-give = It may give { $factor } times rated power{ $most } continuously, but only at plate volts, hertz, ambient and altitude, at a lower efficiency, with a hotter winding and a shorter life. It is no allowance to size by.
plate-meaning-service-factor-service-factor = Service-factor amps are not printed; in proportion they would be about { $rated_current }.
plate-meaning-overload-separate-overload = A separate overload is set at { $rated_current } at most, { $rated_current_2 } where the first would not let it start; by those licensed to.
plate-meaning-overload-nfpa-nec = NFPA 70 (NEC), 430.32(A)(1) and (C) (from memory).
plate-meaning-code-kva-per = { $span } kVA per horsepower with the rotor held.
plate-meaning-code-kva-per-horsepower = { $span } kVA per horsepower with the rotor held: { $rated_current }{ $upper } at rated volts.
plate-meaning-efficiency-nominal-average = Nominal is the average of many motors; this one is guaranteed { $efficiency } and no more. Promises are made with that.
plate-meaning-efficiency-nema-mg-table = NEMA MG 1, Table 12-10 (from memory).
plate-meaning-efficiency-class-least-nominal = { $efficiency_class }: its least nominal efficiency waits for power, speed and 50 Hz.
plate-meaning-efficiency-class-size-means = { $efficiency_class } of this size means at least { $efficiency } at rated load, by the standard. Type what is printed; where nothing is, this is the nominal value.
plate-meaning-frame-frame-number = Not a frame number of the table: measure shaft height, feet and shaft.
plate-meaning-frame-frame-table = Frame { $number } is not in the table here: measure shaft height, feet and shaft.
plate-meaning-enclosure-nema-mg = NEMA MG 1, 1.25 to 1.27 (from memory).
plate-meaning-enclosure-keeps-out = Keeps out { $solids }; withstands { $water }.
plate-meaning-insulation-insulation-good = Insulation good to { $shell_temperature } at its hottest. Every 10 K more halves its life, as a rule.
plate-meaning-insulation-iec-halving = IEC 60085; the halving is common practice.
plate-meaning-insulation-rated-more = Rated for more than the usual 40 °C around it.
plate-meaning-duty-air-over = Air over: it lives on the machine's air stream. Blocked or slowed air cooks it, though it draws less.
plate-meaning-duty-may-run = It may run at rated power without end.
plate-meaning-rotation-means-nothing = “{ $rotation }” means nothing until it is said from which end: shaft or leads.
plate-meaning-rotation-leads-decide = Its leads decide the turn. Prove it with a short touch of power before the wheel is closed in.
plate-meaning-protection = NEMA MG 1, 12.53 and 12.57 (from memory).
plate-meaning-capacitor-f-cannot = Its µF cannot be read: roughly { $capacitance } to { $capacitance_2 }, which 30 to 50 µF per kilowatt gives for 230 V at 50 Hz; others lie beside it. Rough: nothing is bought by it. Read the capacitor itself out of circuit, or its maker's list.
plate-meaning-capacitor-inside = inside
plate-meaning-capacitor-outside = outside
plate-meaning-capacitor-lies-f = It lies { $where } { $capacitance } to { $capacitance_2 }, which 30 to 50 µF per kilowatt gives.{ $why } The label wins.
plate-meaning-capacitor-volts-below = Its volts are below the motor's own: a run capacitor stands above line volts. Look again.
plate-meaning-capacitor-other-section = The other section is the compressor's: it must stay connected or be replaced as well.
plate-meaning-suffix = { $suffix }: { $means }.
plate-meaning-tellers-frame = Frame
plate-meaning-tellers-enclosure = Enclosure
plate-meaning-tellers-insulation = Insulation
plate-meaning-tellers-duty = Duty
plate-meaning-tellers-rotation = Rotation
set-answer-disbelieved = { $field }: { $reason }
identity-ground-holds = holds
identity-open = open
