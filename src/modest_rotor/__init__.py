"""Modest Rotor: from a motor's plate and a few readings to a replacement whose saving can be defended."""

__version__ = "0.1.0"
