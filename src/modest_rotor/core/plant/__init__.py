"""The simulated plant: machines of the core that run in time, for stand-ins to show and for learning on."""
