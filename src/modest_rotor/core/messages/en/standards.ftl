
## core/standards/drives.py

drives-drive-efficiency = A drive of { $rating } hp lies outside the table, which goes from { $sizes } to { $sizes_2 } hp.

## core/standards/lookup.py

lookup-rows-of = “{ $heading }” has no row for { $asked }. It has { $has }.
lookup-at-size = “{ $heading }” has no row for { $value } { $unit }. It has { $sizes } { $unit }; between them a standard gives nothing.
lookup-between = { $value } { $unit } lies outside “{ $heading }”, which goes from { $known } to { $known_2 } { $unit }.

## core/standards/motors.py

motors-code-letter-of = Locked-rotor volt-amperes lie above zero, not at { $volt_amperes_per_watt } times the power.
motors-locked-rotor-current-a = A motor has one phase or three and volts above zero, not { $phases } and { $voltage_v } V.
motors-voltage-unbalance = Three line voltages lie above zero; { $volts } V was given. A dead line is a single-phasing.
motors-unbalance-derating = { $unbalance } % of unbalance is more than the 5 % at which a motor may run at all: do not run it, find the reason in supply or connection.
motors-winding-temperature-c = A winding has ohms above zero; { $cold_ohm } Ω is a short circuit or no contact.
motors-enclosure-ip-code = “{ $code_ }” is no IP code: two digits, for example IP54, with X for one that is not given.
motors-enclosure-stated = not stated

## core/standards/wiring.py

wiring-these-service-factor = service factor 1.15 or more
wiring-these-all-other = all other motors
wiring-these-rise-c = rise of 40 °C or less
wiring-overload-setting-a = A plate carries amps above zero and a service factor from 1 to { $largest_service_factor }, not { $plate_current_a } A and { $service_factor }.
