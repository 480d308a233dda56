"""What could replace the motor: one file for each kind, behind the contract of ``contract.py``."""
