"""Proof: what was promised against what was measured, with the bands that meters and hours leave."""
