"""Every public calculation, once: its inputs, its formula, its source; the command, the API and the screen ask it here."""
