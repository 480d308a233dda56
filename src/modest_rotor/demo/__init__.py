"""The invented demo scenario: a ferry company's harbour buildings."""
