"""The simulated plant: machines of the core that run in time, for simulated devices to show and for learning on."""
