"""Proof: what was promised against what was measured, with the uncertainties that meters and hours leave."""
