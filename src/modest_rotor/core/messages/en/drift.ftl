
## core/drift/answer.py

drift-answer-as-at-20 = as in air of 20 °C
drift-answer-source = Robust lines (Theil–Sen) of every reading on the setting that was read most, against the state at sign-off or the meter's own first readings; causes are put into the solved machine. Spreads are our judgement, tested on simulated years: optimistic.
drift-answer-log-answer-waits-readings = waits for readings over time
drift-answer-log-answer-every-value = Every value has stood still to its last digit: the meter or its link is frozen, not the machine.
drift-answer-drift-sentence-drift-readings = No drift: of { $readings } readings on { $setting } none has left what a healthy machine wanders; { $measurand } stands at { $moved }.
drift-answer-drift-sentence-drifts = It drifts:{" "}
drift-answer-drift-sentence-likeliest = . Likeliest: { $name }; { $rstrip }.
drift-answer-drift-sentence-cause-named = . No cause is named: { $why_no_cause }.
drift-answer-effect = { $name } { $expected }{ $change }
drift-answer-capacitor-words-run-capacitor = The run capacitor stands at { $now } of its label: outside its tolerance. Change it.
drift-answer-capacitor-words-run-capacitor-stands = The run capacitor stands at { $now } of its label and does not fall.
drift-answer-capacitor-words-run-capacitor-stands-label = The run capacitor stands at { $now } of its label and loses { $model_copy } of it a year.
drift-answer-next-visit-drifts = it drifts: { $name }; { $words }
drift-answer-next-visit-drifts-find = it drifts: find out why
drift-answer-next-visit-run-capacitor = the run capacitor is outside its tolerance
drift-answer-next-visit-run-capacitor-may = the run capacitor may leave its tolerance
drift-answer-drift-rail-run-capacitor = run capacitor at { $ratio } of its label
drift-answer-drift-rail-readings = { $readings } readings; { $why }
drift-answer-drift-rail-readings-drift = { $readings } readings, no drift
drift-answer-drift-rail-drifts = drifts: { $likeliest }
drift-answer-drift-rail-cause-known = cause not known

## core/drift/judge.py

judge-waits-readings = waits for { $fewest_readings } readings on one setting
judge-waits-readings-since = waits for { $fewest_readings } readings since the last service
judge-waits-readings-one = waits for { $fewest_readings } readings of one meter

## core/drift/log.py

drift-log-interval-days = “{ $strip }” is no time until it is due again: 6 months, 90 days or 2 years, twenty years at most. Nothing was noted.

## core/drift/machine.py

drift-machine-machine-since = waits for a speed or watts of the healthy state
drift-machine-with-motor = waits for the plate: the motor is not known

## core/drift/reference.py


## core/drift/trend.py

trend-robust-trend = A trend needs { $fewest } readings at different times; there are { $time }.
