"""A second population of truths: machines, plates and meters that share no equation, prior or curve with the estimator.

How they differ from ``modest_rotor.core``:

- *Induction motors* are solved in the stationary two-axis frame (cross-field loops with speed voltages), with a double cage,
  saturation of each axis by a law of its own, iron across the terminals, a parasitic third-harmonic torque and thermal nodes
  for stator and rotor. The core solves one cage by forward and backward fields.
- *Electronic motors* are built of a permanent-magnet machine (copper, hysteresis, eddies), an inverter (conduction and
  switching), a rectifier and a control supply, sized to efficiencies as they are printed. The core has one polynomial of losses.
- *Fans and pumps* have a pressure law and an efficiency law of two and three free exponents each. The core interpolates tables.
- *Systems* have exponents from 1.8 to 2.0, and part of the static stays inside the cabinet, where no manometer reads it.
- *Plates* are printed as the market prints them: slip scattered and rounded, amps off, ratings stepped.
- *Meters* err as their data sheets allow, each for a whole job; nothing here is drawn from a spread that the core names.
"""
