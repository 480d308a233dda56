"""From plate and readings to what the machine is doing, with its uncertainty."""
