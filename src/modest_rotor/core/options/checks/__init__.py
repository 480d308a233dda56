"""May it be fitted? What is looked at before any number of an option is shown."""
