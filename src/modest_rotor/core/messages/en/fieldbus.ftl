
## fieldbus/client.py

client-exceptions-does-know = it does not know this kind of request
client-exceptions-such-register = it has no such register
client-exceptions-does-take = it does not take this value
client-exceptions-failed-inside = it failed inside
client-exceptions-still-work = it is still at work on an earlier request
client-exceptions-busy = it is busy
client-exceptions-device-answers = no device answers behind its gateway
client-str = { $host }:{ $port }, device { $unit }
client-address-of-address-figures = “{ $host }” is no address in figures; type it like 192.168.1.40.
client-address-of-machine-nor = { $ip } is not on this machine nor on a private network; only devices of the building are read. Nothing was sent.
client-address-of-application-s = That is this application's own port; no device answers there. Nothing was sent.
client-address-of-port-lies = A port lies from 1 to 65535 and a device number from 0 to 247.
client-write-nothing-write = { $profile } has nothing to write for “{ $role }”.
client-write-whether-written = { $trouble } Whether “{ $role }” was written is not known: look at the machine, then read it.
client-connected-nothing-answers = Nothing answers at { $address }. Is it on, and is the address right?
client-connected-nothing-answers-does = Nothing answers at { $address } as { $profile } does. Is it on, and are address and profile right?
client-check-identity = At { $address } a device answers that says it is { $said }; { $profile } says { $identity }. Nothing of it is used: choose its profile, or correct the address.
client-words = { $address } answered with { $registers } registers in place of { $count }.
client-asked-gave-whole = { $address } gave no whole answer within { $timeout_s } s.
client-asked-refuses = { $address } refuses: { $get }.
client-asked-exception = exception { $code_ }

## fieldbus/codec.py

codec-value-of = { $role } says { $said }; its profile believes { $low } to { $high }. It is not taken: look at the device, its profile and its word order.
codec-words-of = { $role } takes { $low } to { $high } { $unit }; { $value } was to be written. Nothing was written.

## fieldbus/words.py

words-names-run-command = run command
words-names-lowest-frequency = lowest frequency
words-names-highest-frequency = highest frequency
words-names-v-input = 0-10 V input
words-names-line-volts = line volts
words-names-line-amps = line amps
words-names-air-entering = air entering
words-names-air-leaving = air leaving
words-names-static-after = static after the fan
words-names-static-before = static before the fan
words-names-range-sensor = range of the sensor
words-names-gain-loop = gain of the loop
words-names-integral-time = integral time of the loop
words-names-value-loop = value at the loop's sensor
words-names-meter-s = meter's noise
words-names-share-answers = share of answers dropped
words-names-meter-s-drift = meter's drift
words-parts = skipped band
words-said-hand = in hand
words-said-fault = fault { $number }
words-said-held-back = held back: more was asked than it can give
